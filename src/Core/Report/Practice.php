<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Progress\PainCourse;

/** What was practised in the time of a report. */
final readonly class Practice
{
    /**
     * @param list<string> $sittings ids of those in which something was done
     * @param int          $days     with practice
     * @param int          $planned  days
     * @param int          $timed    sittings of which begin and end are known
     * @param int          $minutes  of these from begin to end, pauses included
     * @param int          $alone    sittings in which no hand helped, as was said
     * @param int          $helped   sittings in which a hand helped with something
     * @param ?PainCourse  $pain     after practice; null: told on too few days
     */
    public function __construct(
        public array $sittings = [],
        public int $days = 0,
        public int $planned = 0,
        public int $timed = 0,
        public int $minutes = 0,
        public int $alone = 0,
        public int $helped = 0,
        public ?PainCourse $pain = null,
    ) {
    }

    /** @return list<Fact> */
    public function facts(): array
    {
        return array_map(static fn (string $id): Fact => new Fact(FactKind::Sitting, $id), $this->sittings);
    }
}
