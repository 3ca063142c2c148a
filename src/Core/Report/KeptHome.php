<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** What stays at home after care ends. Nothing in it is barred today or was never tried. */
final readonly class KeptHome
{
    /**
     * @param list<KeptDose> $reached the highest exercise of each ladder and hand that was held
     * @param list<KeptDay>  $week    Monday first, days without practice left out
     * @param list<KeptDose> $short   for a day when the whole is too much
     * @param list<KeptWear> $worn    beside the sittings
     * @param list<KeptHelp> $helpers who may do what by hand
     * @param list<string>   $signs   of when to stop and what to do
     */
    public function __construct(
        public array $reached = [],
        public array $week = [],
        public array $short = [],
        public array $worn = [],
        public array $helpers = [],
        public array $signs = [],
    ) {
    }
}
