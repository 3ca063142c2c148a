<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** What was done already on this day, in a sitting before. */
final readonly class EarlierToday
{
    /**
     * @param array<string, true> $onceOnly rungs that were done and stand once a day: strength, the daily task
     * @param float               $effort   minutes times intensity
     */
    public function __construct(
        public array $onceOnly = [],
        public float $effort = 0.0,
    ) {
    }

    public static function in(
        SittingLog $log,
        Catalogue $catalogue,
        \DateTimeImmutable $today,
    ): self {
        $onceOnly = [];
        $effort = 0.0;
        foreach ($log->lines as $line) {
            $isToday = $line->day->format('Y-m-d') === $today->format('Y-m-d');
            if (!$isToday || Outcome::Skipped === $line->outcome || !$catalogue->hasRung($line->rungId)) {
                continue;
            }
            $rung = $catalogue->rung($line->rungId);
            $effort += (new Item(
                $rung,
                $line->hands,
                $line->dose,
                Phrase::own(''),
            ))->effort();
            $onceOnly += self::isOnceADay($rung) ? [$rung->id => true] : [];
        }

        return new self($onceOnly, $effort);
    }

    private static function isOnceADay(Rung $rung): bool
    {
        return EffortClass::Strength === $rung->load->class || $rung->plays(RungPart::CarriesTask);
    }
}
