<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Levels;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\ProgressSpec;
use HandGarden\Core\Condition\FactCode;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads how an exercise grows. */
final class ProgressReader
{
    /** Wrist angles begin hanging where nobody measured. */
    private const LEAST_DEGREES = -60;

    /** @throws InvalidData */
    public static function read(Node $node): ProgressSpec
    {
        $node->only(
            'rule',
            'start',
            'step',
            'cap',
            'days',
            'steps',
            'reps',
            'hold',
            'levels',
            'floor',
            'errors',
            'tries',
        );
        $kind = $node->get('rule')->enum(ProgressKind::class);
        $steps = $node->optional('steps')?->floats() ?? [];
        $whole = static fn (string $key): ?int => \is_int($node->optional($key)?->raw())
            ? $node->get($key)->int(0)
            : null;

        return new ProgressSpec(
            $kind,
            $whole('start') ?? (int) ($steps[0] ?? 0),
            $whole('step') ?? 1,
            $node->optional('cap')?->int(1) ?? (int) ([] === $steps ? 0 : max($steps)),
            days: $node->optional('days')?->int(1, 7) ?? 2,
            steps: $steps,
            repetitionsNeeded: $node->optional('reps')?->int(1) ?? 0,
            levels: self::levels($kind, $node),
            share: self::share($node->optional('errors') ?? $node->optional('tries')),
            measured: ProgressKind::WristAngle === $kind ? new FactCode(
                $node->get('start')->string(),
            ) : null,
            holdSecondsNeeded: $node->optional('hold')?->int(1) ?? 0,
        );
    }

    /**
     * @return list<int|float|string> easiest first
     *
     * @throws InvalidData
     */
    private static function levels(ProgressKind $kind, Node $node): array
    {
        $challenge = $kind->challenge();
        if (null === $challenge) {
            return [];
        }
        $levels = match ($kind) {
            ProgressKind::Tempo => range(
                $node->get('start')->int(1),
                $node->get('cap')->int(1),
                $node->get('step')->int(1),
            ),
            ProgressKind::WristAngle => range(
                self::LEAST_DEGREES,
                $node->get('cap')->int(),
                $node->get('step')->int(1),
            ),
            ProgressKind::Caller => self::shorter(
                $node->get('start')->float(0.5),
                $node->get('step')->float(0.5, 0.99),
                $node->get('floor')->float(0.5),
            ),
            // stages are those of the exercise, the others the same everywhere but where it says so
            default => $node->optional(
                'levels',
            )?->strings() ?? ($challenge->isStage() ? [] : $challenge->words()),
        };
        foreach ($levels as $i => $level) {
            $isHarder = 0 === $i || $challenge->hardness($levels[$i - 1]) < $challenge->hardness($level);
            if (!$isHarder) {
                throw $node->fail('its levels go from easy to hard');
            }
        }

        return [] === $levels ? throw $node->fail('names no levels') : $levels;
    }

    /** @return list<int|float|string> seconds, each so many times the one before, to the tenth */
    private static function shorter(float $start, float $times, float $floor): array
    {
        $levels = [];
        for ($seconds = $start; $seconds > $floor; $seconds = round($seconds * $times, 1)) {
            $levels[] = Levels::plain($seconds);
        }
        $levels[] = Levels::plain($floor);

        return $levels;
    }

    /** @throws InvalidData where it is not written as so many of so many: `1/8` */
    private static function share(?Node $node): float
    {
        if (null === $node) {
            return 0.0;
        }
        $isShare = 1 === preg_match('~^([1-9]\d?)/([1-9]\d?)$~', $node->scalarText(), $of);

        return $isShare
            ? (int) $of[1] / (int) $of[2]
            : throw $node->fail(
                'expected so many of so many: "1/8"',
            );
    }
}
