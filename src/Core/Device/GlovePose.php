<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Taken;

/** What the frames of a glove say of a hand. */
final class GlovePose
{
    /**
     * @param array<string, float> $values a frame, degrees by channel; the drawing has wrist flexion +, the glove
     *    extension +
     */
    public static function from(array $values): Pose
    {
        $angles = [
            'wrist' => -$values['wrist'],
            'thumb' => [24.0, $values['thumb_base'], 10.0, $values['thumb_mp'], $values['thumb_ip']],
        ];
        foreach (Digit::fingers() as $finger) {
            $angles[$finger->value] = [
                $values[$finger->value.'_mcp'],
                $values[$finger->value.'_pip'],
                $values[$finger->value.'_dip'],
                3.0,
            ];
        }

        return Pose::clamped($angles);
    }

    /**
     * The far ends of what a hand in a glove does, to find a window for all of it.
     *
     * @return non-empty-list<Pose>
     */
    public static function reach(): array
    {
        $open = ['thumb_base' => 60.0] + array_fill_keys(
            array_keys(DeviceKind::Glove->channels()),
            0.0,
        );
        $fist = [
            'thumb_base' => 20.0,
            'thumb_mp' => 40.0,
            'thumb_ip' => 50.0,
        ] + array_fill_keys(array_keys(DeviceKind::Glove->channels()), 80.0);

        return [
            self::from(['wrist' => 40.0] + $open),
            self::from(['wrist' => -40.0] + $open),
            self::from(['wrist' => 40.0] + $fist),
            self::from(['wrist' => -40.0] + $fist),
        ];
    }

    /**
     * The ends of motion of every hinge in a frozen frame.
     *
     * @param array<string, float> $values
     *
     * @return list<Reading>
     */
    public static function readings(
        array $values,
        Side $side,
        Mode $mode,
        bool $bent,
        \DateTimeImmutable $day,
    ): array {
        $readings = [];
        foreach (Digit::cases() as $digit) {
            foreach ($digit->hinges() as $joint) {
                $channel = $digit->value.'_'.$joint->value;
                $readings[] = new Reading(
                    $channel.($bent ? '_flexion' : '_extension'),
                    $side,
                    $mode,
                    null,
                    value: round($values[$channel]),
                    on: $day,
                    byEye: false,
                    taken: new Taken(source: Source::Glove),
                );
            }
        }

        return $readings;
    }

    /**
     * Independence of one asked digit from the frames while it moved: range of MCP + PIP, of the thumb its base.
     *
     * @param list<array<string, float>> $frames
     *
     * @return array<string, float> degrees by digit
     */
    public static function moved(array $frames): array
    {
        $moved = [];
        foreach (Digit::cases() as $digit) {
            $path = array_map(
                static fn (array $v): float => Digit::Thumb === $digit ? $v['thumb_base'] : $v[
                    $digit->value.'_mcp'
                ] + $v[$digit->value.'_pip'],
                $frames,
            );
            $moved[$digit->value] = [] === $path ? 0.0 : max($path) - min($path);
        }

        return $moved;
    }

    /** @param list<array<string, float>> $frames */
    public static function independence(array $frames, Digit $asked): Independence
    {
        return Independence::inDegrees([$asked->value => self::moved($frames)]);
    }
}
