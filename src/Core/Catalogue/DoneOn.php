<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Which hand an item is for. */
enum DoneOn: string
{
    case Affected = 'affected';
    case EachHand = 'each hand';
    case BothTogether = 'both together';
    /** Mapping: in task dystonia the hand that does not cramp, else the affected one. */
    case NonDominant = 'non-dominant';
    case WritingHand = 'writing hand';
    /** The therapist confirms; blades only there. */
    case SteadierHand = 'steadier hand';

    public function label(): string
    {
        return match ($this) {
            self::Affected => 'the affected hand',
            self::EachHand => 'each hand in turn',
            self::BothTogether => 'both hands together',
            self::NonDominant => 'the affected hand; in task dystonia the one that does not cramp',
            self::WritingHand => 'the writing hand',
            self::SteadierHand => 'the steadier hand',
        };
    }

    /** Placed once, whichever hand is the worse one. */
    public function isPlacedOnce(): bool
    {
        return !\in_array($this, [self::Affected, self::EachHand, self::NonDominant], true);
    }

    /** Sides as the time formula counts them: 'both together' is one. */
    public function sides(): int
    {
        return self::EachHand === $this ? 2 : 1;
    }
}
