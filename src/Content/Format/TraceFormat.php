<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Steadiness\InvalidTrace;
use HandGarden\Core\Measure\Steadiness\SetUp;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\SteadyingTrial;
use HandGarden\Core\Measure\Steadiness\Trace;

/** Recordings of the wrist sensor, and what they come to, as named values. */
final class TraceFormat
{
    public const TRACE = 'hand-garden/trace';
    public const STEADYING = 'hand-garden/steadying';
    private const MOST_SAMPLES = 60_000;

    /** @throws InvalidData */
    public static function trace(Node $node): Trace
    {
        $samples = $node->get('samples');
        /** @var list<array{float, float, float, float}> $rows */
        $rows = $samples->rows(4, 4, self::MOST_SAMPLES);
        try {
            return Trace::fromSamples(
                $node->get('rate_hz')->float(20.0, 1000.0),
                $rows,
            );
        } catch (InvalidTrace $e) {
            throw $samples->fail($e->getMessage());
        }
    }

    /**
     * @return array<string, list<Trace>> by set-up
     *
     * @throws InvalidData
     */
    public static function trials(Node $node): array
    {
        $trials = [];
        foreach ($node->get('trials')->items() as $trial) {
            $trial->only('set_up', 'rate_hz', 'samples');
            $trials[$trial->get('set_up')->enum(SetUp::class)->value][] = self::trace($trial);
        }

        return $trials;
    }

    /** @return array<string, mixed> */
    public static function steadiness(Steadiness $found): array
    {
        return [
            'seconds' => round($found->seconds, 2),
            'windows' => $found->spectrum->windows ?? 0,
            'too_short' => $found->isTooShort(),
            'peak_hz' => self::rounded($found->peakHz, 3),
            'rms' => self::rounded($found->rms, 4),
            'peak' => self::rounded($found->peakValue(), 4),
            'half_swing_mm' => self::rounded($found->halfSwingMm(), 2),
            'says' => $found->words(),
        ];
    }

    /** @return array<string, mixed> */
    public static function steadying(SteadyingTrial $trial): array
    {
        $results = [];
        foreach ($trial->results as $result) {
            $results[] = [
                'set_up' => $result->setUp->value,
                'trials' => $result->trials,
                'mean' => round($result->mean, 4),
                'lower_by' => round($result->lowerBy, 4),
                'must_beat' => round($result->mustBeat, 4),
                'better' => $result->isBetter(),
            ];
        }

        return [
            'near_hz' => self::rounded($trial->frequencyHz, 2),
            'unsupported_mean' => self::rounded($trial->unsupportedMean, 4),
            'results' => $results,
            'winner' => $trial->winner()?->value,
            'says' => '' !== $trial->why
                ? $trial->why
                : ($trial->winner()?->instruction() ?? 'No clear difference.'),
        ];
    }

    public static function rounded(?float $value, int $places): ?float
    {
        return null === $value ? null : round($value, $places);
    }
}
