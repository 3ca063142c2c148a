<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** What a diary asks beside how bad it is. */
enum Factor: string
{
    case SleptHours = 'slept-hours';
    case HoursSinceMeal = 'hours-since-meal';
    case Stress = 'stress';
    case Drinks = 'drinks';
    case CaffeineCups = 'caffeine-cups';
    case FineWorkMinutes = 'fine-work-minutes';
    case HardEffort = 'hard-effort';
    case Watched = 'watched';
    case HoursSinceMedicine = 'hours-since-medicine';
    case Cold = 'cold';
    case FullBladder = 'full-bladder';
    case Constipated = 'constipated';
    case Pain = 'pain';
    case TightClothing = 'tight-clothing';
    case PoorSeat = 'poor-seat';

    /** As many as a therapist may add for one client. */
    public const MOST_OPTIONAL = 3;

    /** @return list<self> that every diary asks */
    public static function usual(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $f): bool => !$f->isOptional()));
    }

    /** @return list<self> */
    public static function optional(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $f): bool => $f->isOptional()));
    }

    public function isOptional(): bool
    {
        return match ($this) {
            self::Cold, self::FullBladder, self::Constipated => true,
            self::Pain, self::TightClothing, self::PoorSeat => true,
            default => false,
        };
    }

    /** Answered by yes or no, kept as 1 or 0. */
    public function isYesNo(): bool
    {
        return $this->isOptional() || self::HardEffort === $this || self::Watched === $this;
    }

    /** Asked in the morning only. */
    public function isOfTheMorning(): bool
    {
        return self::SleptHours === $this;
    }

    /** The largest answer there is, in its unit. */
    public function most(): float
    {
        return match ($this) {
            self::SleptHours => 14.0,
            self::HoursSinceMeal, self::HoursSinceMedicine => 24.0,
            self::Stress => 10.0,
            self::Drinks => 20.0,
            self::CaffeineCups => 15.0,
            self::FineWorkMinutes => 300.0,
            default => 1.0,
        };
    }

    public function step(): float
    {
        return match ($this) {
            self::SleptHours => 0.5,
            self::FineWorkMinutes => 15.0,
            default => 1.0,
        };
    }

    /** Short sleep and little drink are what is looked at. */
    public function isOfTooLittle(): bool
    {
        return self::SleptHours === $this || self::Drinks === $this;
    }

    /** Something is known that can be tried, beside looking at it. */
    public function hasAdvice(): bool
    {
        return !$this->isOptional();
    }
}
