<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

use HandGarden\Core\Measure\Statistics;

/**
 * The same action in several set-ups, compared with the unsupported one. A set-up is better when its mean is
 * lower by more
 * than t(1 - 0.025/m; df) x s_pooled x sqrt(1/n + 1/n0), m being the number of comparisons (Bonferroni); with equal
 * numbers of trials this is sqrt(2/n).
 */
final readonly class SteadyingTrial
{
    public const FEWEST_TRIALS = 3;
    private const ERROR = 0.025;

    /** @param list<SetUpResult> $results each set-up that was compared */
    private function __construct(
        public array $results,
        public ?float $unsupportedMean,
        public ?float $frequencyHz,
        public string $why,
    ) {
    }

    /**
     * @param array<string, list<float>> $amplitudes by set-up, one number for each trial
     */
    public static function compare(array $amplitudes, ?float $frequencyHz = null): self
    {
        $plain = $amplitudes[SetUp::Unsupported->value] ?? [];
        $others = array_filter(
            $amplitudes,
            static fn (
                array $list,
                string $key,
            ): bool => SetUp::Unsupported->value !== $key && \count($list) >= self::FEWEST_TRIALS,
            \ARRAY_FILTER_USE_BOTH,
        );
        if (\count($plain) < self::FEWEST_TRIALS || [] === $others) {
            return new self(
                [],
                null,
                $frequencyHz,
                \sprintf(
                    'Cannot tell yet: at least %d trials unsupported and %1$d of another set-up are needed.',
                    self::FEWEST_TRIALS,
                ),
            );
        }
        $scatter = Statistics::scatter($plain);
        $free = \count($plain) - 1;
        foreach ($others as $list) {
            $scatter += Statistics::scatter($list);
            $free += \count($list) - 1;
        }
        $t = StudentT::quantile(1.0 - self::ERROR / \count($others), $free);
        $mean = Statistics::mean($plain);
        $results = [];
        foreach (SetUp::cases() as $setUp) {
            $list = $others[$setUp->value] ?? [];
            if ([] !== $list) {
                $results[] = new SetUpResult(
                    $setUp,
                    \count($list),
                    Statistics::mean($list),
                    $mean - Statistics::mean($list),
                    mustBeat: $t * sqrt($scatter / $free) * sqrt(
                        1.0 / \count($list) + 1.0 / \count($plain),
                    ),
                );
            }
        }

        return new self($results, $mean, $frequencyHz, '');
    }

    /**
     * Amplitudes are taken near the frequency at which the hand shakes unsupported, so that a set-up that quiets it
     * altogether counts for what it is.
     *
     * @param array<string, list<Trace>> $traces by set-up
     */
    public static function ofTraces(array $traces): self
    {
        $analysed = array_map(
            static fn (array $list): array => array_values(
                array_filter(
                    array_map(static fn (Trace $t): Steadiness => Steadiness::from($t), $list),
                    static fn (Steadiness $s): bool => !$s->isTooShort(),
                ),
            ),
            $traces,
        );
        $plain = $analysed[SetUp::Unsupported->value] ?? [];
        $peaks = array_values(
            array_filter(
                array_map(static fn (Steadiness $s): ?float => $s->peakHz, $plain),
                static fn (?float $hz): bool => null !== $hz,
            ),
        );
        if ([] === $peaks || 2 * \count($peaks) < \count($plain)) {
            return new self([], null, null, \count($plain) < self::FEWEST_TRIALS
                ? \sprintf(
                    'Cannot tell yet: at least %d unsupported trials of 18 s are needed.',
                    self::FEWEST_TRIALS,
                )
                : 'Unsupported there is no clear peak, so there is nothing to steady.');
        }
        $hz = Statistics::median($peaks);

        return self::compare(
            array_map(
                static fn (array $list): array => array_map(
                    static fn (Steadiness $s): float => $s->rmsNear($hz) ?? 0.0,
                    $list,
                ),
                $analysed,
            ),
            $hz,
        );
    }

    /** The set-up that lowers most, of those that are better; null: no clear difference. */
    public function winner(): ?SetUp
    {
        $best = null;
        foreach ($this->results as $result) {
            if ($result->isBetter() && (null === $best || $result->lowerBy > $best->lowerBy)) {
                $best = $result;
            }
        }

        return $best?->setUp;
    }

    /** Whether there is an answer for this set-up: better or not; null when it was not tried. */
    public function gain(SetUp $setUp): ?bool
    {
        foreach ($this->results as $result) {
            if ($result->setUp === $setUp) {
                return $result->isBetter();
            }
        }

        return null;
    }

    /**
     * Order of the trials, each set-up equally often, shuffled by seed so that getting tired falls on all alike.
     *
     * @param non-empty-list<SetUp> $setUps
     *
     * @return list<SetUp>
     */
    public static function order(array $setUps, int $trials, int $seed): array
    {
        $order = [];
        for ($i = 0; $i < $trials; ++$i) {
            array_push($order, ...$setUps);
        }

        return (new \Random\Randomizer(new \Random\Engine\Mt19937($seed)))->shuffleArray($order);
    }
}
