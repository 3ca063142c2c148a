<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

/** One rule broken on purpose: what the clinic then does has to be noticed by the oracle. */
enum Mutant: string
{
    case S1 = 'S1';
    case S2 = 'S2';
    case S3 = 'S3';
    case S4 = 'S4';
    case S5 = 'S5';
    case S6 = 'S6';
    case S7 = 'S7';
    case S8 = 'S8';
    case S9 = 'S9';
    case S10 = 'S10';
    case S11 = 'S11';
    case S12 = 'S12';
    case S13 = 'S13';
    case S14 = 'S14';
    case S15 = 'S15';
    case S16 = 'S16';
    case S17 = 'S17';
    case S18 = 'S18';
    case S19 = 'S19';
    case S20 = 'S20';
    case S21 = 'S21';
    case S22 = 'S22';
    case S24 = 'S24';
    case S25 = 'S25';
    case S26 = 'S26';
    case S27 = 'S27';
    case S28 = 'S28';
    case S29 = 'S29';

    /** Readings that the clinic does not see. */
    public function hides(string $code): bool
    {
        return match ($this) {
            self::S2 => 'confused' === $code,
            self::S4 => \in_array($code, ['tone_finger', 'tone_wrist'], true),
            self::S5 => \in_array($code, ['painful', 'unstable', 'recent_injury'], true),
            self::S6 => \in_array($code, ['frail_skin', 'touch_felt'], true),
            default => false,
        };
    }
}
