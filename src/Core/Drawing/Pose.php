<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Joint angles of one hand in degrees, as the drawing takes them: wrist flexion +, forearm supination + from thumb-up,
 * fingers [MCP, PIP, DIP, abduction away from the middle finger], thumb [radial abduction, palmar abduction,
 * opposition,
 * MP, IP]; cup 0 (flat) to 1. Measures are never clamped to these limits, drawings are.
 */
final readonly class Pose
{
    public const FINGERS = ['index', 'middle', 'ring', 'little'];
    private const LIMITS = [
        'wrist' => [-80, 85],
        'dev' => [-35, 25],
        'forearm' => [-90, 90],
        'cup' => [0, 1],
    ];
    private const FINGER_LIMITS = [[-35, 95], [-10, 115], [-15, 90], [-12, 25]];
    private const THUMB_LIMITS = [[-20, 65], [0, 65], [-25, 85], [-10, 65], [-25, 85]];
    private const FINGER_NAMES = ['MCP', 'PIP', 'DIP', 'abduction'];
    private const THUMB_NAMES = ['radial abduction', 'palmar abduction', 'opposition', 'MP', 'IP'];

    /**
     * @param array<string, list<float>>                $fingers each of four: MCP, PIP, DIP, abduction
     * @param array{float, float, float, float, float}  $thumb
     */
    private function __construct(
        public float $wrist,
        public float $dev,
        public float $forearm,
        public float $cup,
        public array $fingers,
        public array $thumb,
    ) {
    }

    /**
     * @param array<string, float|int|list<float|int>> $angles missing ones rest
     *
     * @throws InvalidPose when an angle is outside what can be drawn
     */
    public static function from(array $angles): self
    {
        return self::make($angles, false);
    }

    /** @param array<string, float|int|list<float|int>> $angles */
    public static function clamped(array $angles): self
    {
        return self::make($angles, true);
    }

    /**
     * Every joint that can be set, with its limits in degrees (cup: 0 to 1), in the order of a hand.
     *
     * @return list<array{name: string, part: string, at: int|null, min: int, max: int}>
     */
    public static function joints(): array
    {
        $joints = [];
        foreach (
            [
                'wrist' => 'Wrist, bent forward +',
                'dev' => 'Wrist to the thumb side +',
                'forearm' => 'Forearm, palm up +',
                'cup' => 'Palm cupped',
            ] as $key => $name
        ) {
            $joints[] = [
                'name' => $name,
                'part' => $key,
                'at' => null,
                'min' => self::LIMITS[$key][0],
                'max' => self::LIMITS[$key][1],
            ];
        }
        foreach (self::THUMB_LIMITS as $at => [$min, $max]) {
            $joints[] = [
                'name' => 'Thumb '.self::THUMB_NAMES[$at],
                'part' => 'thumb',
                'at' => $at,
                'min' => $min,
                'max' => $max,
            ];
        }
        foreach (self::FINGERS as $finger) {
            foreach (self::FINGER_LIMITS as $at => [$min, $max]) {
                $joints[] = [
                    'name' => ucfirst($finger).' '.self::FINGER_NAMES[$at],
                    'part' => $finger,
                    'at' => $at,
                    'min' => $min,
                    'max' => $max,
                ];
            }
        }

        return $joints;
    }

    /** Every angle linear between this pose and another. */
    public function towards(self $other, float $share): self
    {
        $mix = static fn (float $a, float $b): float => $a + ($b - $a) * $share;
        $fingers = [];
        foreach (self::FINGERS as $finger) {
            $fingers[$finger] = array_map($mix, $this->fingers[$finger], $other->fingers[$finger]);
        }
        [$a, $b] = [$this->thumb, $other->thumb];

        return new self(
            $mix($this->wrist, $other->wrist),
            $mix($this->dev, $other->dev),
            $mix($this->forearm, $other->forearm),
            $mix($this->cup, $other->cup),
            fingers: $fingers,
            thumb: [
                $mix($a[0], $b[0]),
                $mix($a[1], $b[1]),
                $mix($a[2], $b[2]),
                $mix($a[3], $b[3]),
                $mix($a[4], $b[4]),
            ],
        );
    }

    /** @return array<string, float|list<float>> */
    public function toArray(): array
    {
        return [
            'wrist' => $this->wrist,
            'dev' => $this->dev,
            'forearm' => $this->forearm,
            'cup' => $this->cup,
            ...$this->fingers,
            'thumb' => $this->thumb,
        ];
    }

    /** @param array<string, float|int|list<float|int>> $angles */
    private static function make(array $angles, bool $clamp): self
    {
        $single = static function (string $key) use ($angles, $clamp): float {
            $value = $angles[$key] ?? 0.0;

            return self::limit(
                $key,
                \is_array($value) ? 0.0 : (float) $value,
                self::LIMITS[$key][0],
                self::LIMITS[$key][1],
                clamp: $clamp,
            );
        };
        $fingers = [];
        foreach (self::FINGERS as $finger) {
            $given = $angles[$finger] ?? [];
            foreach (self::FINGER_LIMITS as $i => [$min, $max]) {
                $fingers[$finger][] = self::limit(
                    $finger.' '.self::FINGER_NAMES[$i],
                    (float) (\is_array($given) ? $given[$i] ?? 0.0 : 0.0),
                    $min,
                    $max,
                    clamp: $clamp,
                );
            }
        }
        $given = $angles['thumb'] ?? [];
        $given = \is_array($given) && [] !== $given ? $given : [40.0, 20.0, 0.0, 0.0, 0.0];
        $thumb = static fn (int $i): float => self::limit(
            'thumb '.self::THUMB_NAMES[$i],
            (float) ($given[$i] ?? 0.0),
            self::THUMB_LIMITS[$i][0],
            self::THUMB_LIMITS[$i][1],
            clamp: $clamp,
        );

        return new self(
            $single('wrist'),
            $single('dev'),
            $single('forearm'),
            $single('cup'),
            fingers: $fingers,
            thumb: [$thumb(0), $thumb(1), $thumb(2), $thumb(3), $thumb(4)],
        );
    }

    private static function limit(
        string $what,
        float $value,
        float $min,
        float $max,
        bool $clamp,
    ): float {
        if ($clamp) {
            return max($min, min($max, $value));
        }

        return $value >= $min && $value <= $max
            ? $value
            : throw InvalidPose::outside($what, $value, $min, $max);
    }
}
