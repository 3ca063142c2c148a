<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** What a therapist asks once before anybody looks for triggers, and again when something new starts. */
enum AskedOnce: string
{
    case NewShaking = 'new-shaking';
    case LowSugar = 'low-sugar';
    case NewMedicine = 'new-medicine';
    /** Asked alone, seen by therapists only, never a field of the diary. */
    case Alcohol = 'alcohol';
    case StiffnessUp = 'stiffness-up';
    case Pump = 'pump';
    case BeforeDose = 'before-dose';
    case Burning = 'burning';

    /** With it nothing is tried before a doctor has looked. */
    public function forbidsATrial(): bool
    {
        return match ($this) {
            self::NewShaking, self::Pump, self::Burning => true,
            default => false,
        };
    }
}
