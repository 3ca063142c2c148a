<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/** How the same action is done in a steadying trial. The value is the argument of the fact `steady_gain`. */
enum SetUp: string
{
    case Unsupported = 'unsupported';
    case Support = 'support';
    case Weight = 'weight';
    case Both = 'both';
    case Exhale = 'exhale';

    public function label(): string
    {
        return match ($this) {
            self::Unsupported => 'As usual, unsupported',
            self::Support => 'Elbow on the table',
            self::Weight => 'Light weight at the wrist, 0.25 to 0.5 kg',
            self::Both => 'Elbow on the table and light weight',
            self::Exhale => 'Breathing out slowly',
        };
    }

    /** What the winner becomes: a line on daily tasks. */
    public function instruction(): string
    {
        return match ($this) {
            self::Unsupported => '',
            self::Support => 'Rest the elbow on the table first.',
            self::Weight => 'Wear the light wrist weight for this.',
            self::Both => 'Elbow on the table, and the light wrist weight on.',
            self::Exhale => 'Breathe out slowly as you do it.',
        };
    }
}
