<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

/** What the lists of a clinic's day go by. */
final readonly class DayDefaults
{
    public function __construct(
        /** A client who did less of a planned week is talked with. */
        public float $seldomShare = 0.4,
        /** For how long records are kept after a client was archived. */
        public int $keptYears = 10,
    ) {
    }
}
