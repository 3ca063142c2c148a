<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Routine\Item;

/** On how many days of a week an item stands. Clinic settings behind these defaults. */
enum Frequency: string
{
    case Daily = 'daily';
    case TrainingDays = 'training days';
    case EverySecondDay = 'every second day';

    private const FEW_DAYS = 4;

    /** Training days of a week where few, longer sittings are wanted. */
    public static function few(int $daysPerWeek): int
    {
        return min(self::FEW_DAYS, $daysPerWeek);
    }

    /**
     * Strength never on two days running; what stretches, moves or calms every day; large movements on every day of
     * their block.
     */
    public static function for(Item $item, Strand $strand, bool $isInBlock = true): self
    {
        return match (true) {
            Strand::Amplitude === $strand && !$isInBlock => self::TrainingDays,
            EffortClass::Strength === $item->rung->load->class => self::EverySecondDay,
            \in_array(
                $strand,
                [Strand::Settle, Strand::Mobilize, Strand::Stretch, Strand::Amplitude],
                true,
            ) => self::Daily,
            \in_array(
                $item->rung->load->class,
                [EffortClass::Calm, EffortClass::Prep],
                true,
            ) => self::Daily,
            default => self::TrainingDays,
        };
    }
}
