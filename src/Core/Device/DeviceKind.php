<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

use HandGarden\Core\Anatomy\Digit;

/** A kind of measuring device: what its frames hold, in which order, and what no hand can give. */
enum DeviceKind: string
{
    case Glove = 'glove';
    case Gauge = 'gauge';
    case Motion = 'motion';

    public function label(): string
    {
        return match ($this) {
            self::Glove => 'Sensor glove',
            self::Gauge => 'Grip and pinch gauge',
            self::Motion => 'Wrist motion sensor',
        };
    }

    /** Frames a second. */
    public function rateHz(): int
    {
        return match ($this) {
            self::Glove => 50,
            self::Gauge => 20,
            self::Motion => 100,
        };
    }

    /**
     * Channels in the order of a frame, each with its lowest and highest value. Glove: degrees, wrist extension
     * +, hinges
     * flexion +, thumb base away from the palm; gauge: kilograms; motion sensor: m/s2.
     *
     * @return array<string, array{float, float}>
     */
    public function channels(): array
    {
        if (self::Gauge === $this) {
            return ['kg' => [-1.0, 120.0]];
        }
        if (self::Motion === $this) {
            return ['x' => [-80.0, 80.0], 'y' => [-80.0, 80.0], 'z' => [-80.0, 80.0]];
        }
        $channels = ['wrist' => [-100.0, 90.0], 'thumb_base' => [-10.0, 90.0]];
        foreach (Digit::cases() as $digit) {
            foreach ($digit->hinges() as $joint) {
                $channels[$digit->value.'_'.$joint->value] = [-45.0, 130.0];
            }
        }

        return $channels;
    }
}
