<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** What a reading is counted in; the value is the key under which a case file carries it. */
enum Unit: string
{
    case Degrees = 'degrees';
    case Percent = 'percent';
    case Score = 'score';
    case Seconds = 'seconds';
    case Count = 'count';
    case Grade = 'grade';
    case Kilograms = 'kilograms';
    case Millimetres = 'millimetres';
    case Hertz = 'hertz';

    public function sign(): string
    {
        return match ($this) {
            self::Degrees => '°',
            self::Percent => '%',
            self::Seconds => 's',
            self::Kilograms => 'kg',
            self::Millimetres => 'mm',
            self::Hertz => 'Hz',
            default => '',
        };
    }
}
