<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an exercise asks of the body. */
final readonly class Load
{
    /**
     * @param list<MuscleLoad> $muscles
     * @param list<string>     $lengthens
     * @param int              $intensity 1 to 5
     */
    public function __construct(
        public array $muscles,
        public array $lengthens,
        public EffortClass $class,
        public int $intensity,
        public Segment $segment,
        public bool $wantsFirmWrist,
    ) {
    }
}
