<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Core\Report\FactKind;

/** One thing that a line rests on, as it is kept now. */
final readonly class FactRow
{
    /**
     * @param string $says as it is kept; empty: only its kind is known here
     * @param string $to   where it is seen; empty: whoever asks may not see it
     */
    public function __construct(
        public FactKind $kind,
        public string $says,
        public string $to,
    ) {
    }
}
