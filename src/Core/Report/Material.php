<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Joined;

/** Everything that a report of a time may tell. */
final readonly class Material
{
    /**
     * @param list<string>              $sittings   ids of those in which something was done
     * @param array<string, string>     $cautions   words by the question whose answer asks for them
     * @param list<Measured>            $measures   taken on two days or more
     * @param list<Step>                $steps      oldest first
     * @param list<Incident>            $incidents  oldest first
     * @param list<Gap>                 $gaps       oldest first
     * @param list<Rating>              $ratings    oldest first
     * @param ?\DateTimeImmutable       $injectedOn the last tone injection
     */
    public function __construct(
        public string $clientId,
        public Joined $conditions,
        public string $hands,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public array $sittings,
        public int $days,
        public int $plannedDays,
        public array $cautions,
        public array $measures,
        public array $steps,
        public array $incidents,
        public array $gaps,
        public array $ratings,
        public ?\DateTimeImmutable $injectedOn,
        public ?\DateTimeImmutable $nextVisit,
    ) {
    }

    /** @return list<Fact> */
    public function sittingFacts(): array
    {
        return array_map(
            static fn (string $id): Fact => new Fact(FactKind::Sitting, $id),
            $this->sittings,
        );
    }

    public function clientFact(): Fact
    {
        return new Fact(FactKind::Client, $this->clientId);
    }
}
