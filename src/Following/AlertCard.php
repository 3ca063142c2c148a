<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Sitting\AlertAct;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\AlertNote;
use HandGarden\Sitting\AlertTimes;

/** Everything that somebody who answers an alert wants to know first. */
final readonly class AlertCard
{
    /**
     * @param ?Rung                                     $rung   of its item; null: it is of none
     * @param ?Dose                                     $dose   of record
     * @param list<string>                              $told   what the client read then
     * @param list<array{name: string, strip: Strip}>   $strips last days of what works the same part
     * @param list<array{name: string, of: Suspension}> $rests  what rests now
     * @param list<AlertNote>                           $notes
     * @param list<AlertAct>                            $acts   that are possible
     * @param ?Phrase                                   $bars   why nothing may be reopened yet
     * @param bool                                      $isFromOut it came from a device that was taken out
     */
    public function __construct(
        public Alert $alert,
        public AlertTimes $times,
        public ?Rung $rung,
        public ?Dose $dose,
        public array $told,
        public array $strips,
        public array $rests,
        public array $notes,
        public array $acts,
        public ?Phrase $bars,
        public bool $isFromOut,
    ) {
    }
}
