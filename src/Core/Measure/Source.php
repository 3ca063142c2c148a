<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** What a value came from. */
enum Source: string
{
    case Hand = 'hand';
    case Glove = 'glove';
    case Gauge = 'gauge';
    case MotionSensor = 'motion';
    case Screen = 'screen';
    case Computed = 'computed';

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'by hand',
            self::Glove => 'from the glove',
            self::Gauge => 'from the gauge',
            self::MotionSensor => 'from the motion sensor',
            self::Screen => 'on the screen',
            self::Computed => 'computed',
        };
    }
}
