<?php

declare(strict_types=1);

namespace HandGarden\Device\Simulated;

use HandGarden\Core\Device\DeviceKind;

/** How a simulated device behaves. */
enum Profile: string
{
    case Good = 'good';
    case Tight = 'tight';
    case CoMoving = 'co-moving';
    case Tremor = 'tremor';
    case Dropout = 'dropout';
    case Garbage = 'garbage';

    public function label(DeviceKind $kind): string
    {
        return match ($this) {
            self::Good => match ($kind) {
                DeviceKind::Glove => 'Opens and closes well',
                DeviceKind::Gauge => 'Firm grip',
                DeviceKind::Motion => 'Steady',
            },
            self::Tight => DeviceKind::Gauge === $kind ? 'Weak grip' : 'Tight hand',
            self::CoMoving => 'Fingers move along',
            self::Tremor => 'Shakes five times a second',
            self::Dropout => 'Falls silent, sends late and twice',
            self::Garbage => 'Sends nonsense',
        };
    }

    /** @return list<self> */
    public static function named(DeviceKind $kind): array
    {
        return match ($kind) {
            DeviceKind::Glove => self::cases(),
            DeviceKind::Gauge => [self::Good, self::Tight, self::Dropout, self::Garbage],
            DeviceKind::Motion => [self::Good, self::Tremor, self::Dropout, self::Garbage],
        };
    }
}
