<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Screening\Screening;

/** How long what was found out counts. Defaults from practice, see docs/sources.md; a clinic sets its own. */
final readonly class Ages
{
    public function __construct(
        public int $numberDays = 28,
        /** Of tone, pain and skin, that change within days. */
        public int $shortDays = 14,
        /** The same within so many weeks of a tone injection. */
        public int $shortAfterInjectionDays = 7,
        public int $injectionWeeks = 12,
        /** Of answers to screening questions. */
        public int $screeningDays = Screening::VALID_DAYS,
    ) {
    }
}
