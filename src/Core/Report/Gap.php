<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** Days on which nothing was logged. */
final readonly class Gap
{
    /**
     * @param non-empty-list<string> $sittings the last before it and the first after it, as far as there are
     * @param bool                   $wasEased so long that what was given was made easier after it
     */
    public function __construct(
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public bool $isIllness,
        public array $sittings,
        public bool $wasEased = false,
    ) {
    }

    /** @return non-empty-list<Fact> */
    public function facts(): array
    {
        return array_map(static fn (string $id): Fact => new Fact(FactKind::Sitting, $id), $this->sittings);
    }
}
