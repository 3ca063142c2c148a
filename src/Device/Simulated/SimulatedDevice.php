<?php

declare(strict_types=1);

namespace HandGarden\Device\Simulated;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Device\DeviceKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What a made-up device would send at a moment of its run. Same seed, same lines. */
final readonly class SimulatedDevice
{
    private const CYCLE_SECONDS = 4.0;
    private const TREMOR_HZ = 5.0;
    /** Straight and bent ends in degrees of MCP, PIP, DIP; thumb of MP, IP. */
    private const FREE = [
        'finger' => [[0.0, 88.0], [2.0, 100.0], [0.0, 62.0]],
        'thumb' => [[2.0, 48.0], [0.0, 70.0]],
    ];
    private const TIGHT = [
        'finger' => [[52.0, 86.0], [64.0, 104.0], [38.0, 62.0]],
        'thumb' => [[30.0, 50.0], [38.0, 72.0]],
    ];

    private Randomizer $chance;

    public function __construct(
        private DeviceKind $kind,
        private Profile $profile,
        int $seed = 1,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return list<float> values in the order of the channels */
    public function values(float $seconds): array
    {
        return match ($this->kind) {
            DeviceKind::Glove => $this->glove($seconds),
            DeviceKind::Gauge => [$this->force($seconds)],
            DeviceKind::Motion => $this->motion($seconds),
        };
    }

    /** Lines for one moment: usually one; none while it is silent, more when it repeats itself. */
    public function lines(int $seq): string
    {
        $seconds = $seq / $this->kind->rateHz();
        if (Profile::Dropout === $this->profile && fmod($seconds, 9.0) > 6.0) {
            return '';
        }
        $line = $this->line($seq);
        if (Profile::Dropout === $this->profile) {
            return match ($seq % 50) {
                10 => $line.$line,
                25 => '',
                35 => $line.$this->line($seq - 10), // the one held back
                default => $line,
            };
        }
        if (Profile::Garbage === $this->profile && 0 === $seq % 20) {
            return match (true) {
                0 === $seq % 60 => str_replace('"v":[', '"v":[900.0,', $line),
                0 === $seq % 40 => "\x00\xfe}{\n",
                default => json_encode(
                    [
                        'seq' => $seq,
                        'ms' => 1000.0 * $seconds,
                        'v' => array_fill(0, \count($this->kind->channels()), 999.0),
                    ],
                    \JSON_THROW_ON_ERROR,
                )."\n",
            };
        }

        return $line;
    }

    private function line(int $seq): string
    {
        $seconds = $seq / $this->kind->rateHz();

        return json_encode(
            [
                'seq' => $seq,
                'ms' => round(1000.0 * $seconds, 2),
                'v' => array_map(
                    static fn (float $v): float => round($v, 3),
                    $this->values($seconds),
                ),
            ],
            \JSON_THROW_ON_ERROR,
        )."\n";
    }

    /** @return list<float> */
    private function glove(float $seconds): array
    {
        $values = [];
        $asked = Digit::cases()[(int) floor($seconds / self::CYCLE_SECONDS) % 5];
        foreach (Digit::cases() as $digit) {
            $bent = 0.5 - 0.5 * cos(2.0 * \M_PI * $seconds / self::CYCLE_SECONDS);
            if (Profile::CoMoving === $this->profile && $digit !== $asked) {
                $bent *= 0.6; // the others go along by a good half
            }
            $ends = (
                Profile::Tight === $this->profile ? self::TIGHT : self::FREE
            )[Digit::Thumb === $digit ? 'thumb' : 'finger'];
            foreach ($digit->hinges() as $i => $joint) {
                [$straight, $closed] = $ends[$i] ?? [0.0, 0.0];
                $shake = Profile::Tremor === $this->profile
                    ? 4.0 * sin(2.0 * \M_PI * self::TREMOR_HZ * $seconds + $i)
                    : 0.0;
                $values[
                    $digit->value.'_'.$joint->value
                ] = $straight + $bent * ($closed - $straight) + $shake + $this->noise(0.4);
            }
        }
        $base = 45.0 - 30.0 * (0.5 - 0.5 * cos(2.0 * \M_PI * $seconds / self::CYCLE_SECONDS));
        $all = [
            'wrist' => (Profile::Tight === $this->profile ? -30.0 : 15.0) + $this->noise(0.5),
            'thumb_base' => Profile::Tight === $this->profile ? 12.0 : $base,
        ] + $values;

        return array_map(
            static fn (string $channel): float => $all[$channel],
            array_keys($this->kind->channels()),
        );
    }

    /** A squeeze of 2 s every 5. */
    private function force(float $seconds): float
    {
        $at = fmod($seconds, 5.0);
        $most = Profile::Tight === $this->profile ? 6.0 : 24.0;

        return max(
            0.0,
            (
                $at > 1.0 && $at < 3.0 ? $most * sin(\M_PI * ($at - 1.0) / 2.0) : 0.0
            ) + $this->noise(0.15),
        );
    }

    /** @return list<float> gravity, a slow sway, noise, and the shaking where there is one */
    private function motion(float $seconds): array
    {
        $shake = Profile::Tremor === $this->profile
            ? 1.4 * sin(2.0 * \M_PI * self::TREMOR_HZ * $seconds)
            : 0.0;
        $sway = 0.2 * sin(2.0 * \M_PI * 0.3 * $seconds);

        return [
            0.8 * $shake + $sway + $this->noise(0.05),
            0.6 * $shake + $this->noise(0.05),
            9.81 + $sway + $this->noise(0.05),
        ];
    }

    private function noise(float $spread): float
    {
        return $spread * (
            $this->chance->getInt(-10_000, 10_000) + $this->chance->getInt(-10_000, 10_000)
        ) / 10_000.0;
    }
}
