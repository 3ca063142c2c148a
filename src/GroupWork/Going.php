<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

/** How a class is going. */
final readonly class Going
{
    /**
     * @param list<GoingPlace> $places    by number
     * @param bool             $isStopped an emergency at one of them: all stand still
     */
    public function __construct(
        public ClassRun $run,
        public array $places,
        public bool $isStopped,
    ) {
    }

    /**
     * @return array{at: int, stopped: bool, over: bool,
     *     places: list<array{n: int, called: bool, told: int, of: int}>}
     */
    public function told(): array
    {
        return [
            'at' => $this->run->at,
            'stopped' => $this->isStopped,
            'over' => $this->run->isOver(),
            'places' => array_map(static fn (GoingPlace $p): array => [
                'n' => $p->place->number,
                'called' => $p->isCalled,
                'told' => $p->told(),
                'of' => \count($p->items),
            ], $this->places),
        ];
    }
}
