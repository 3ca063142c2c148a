<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/** A signal on three axes at a steady rate, in stretches: what lies between two stretches was not recorded. */
final readonly class Trace
{
    /** @param list<Stretch> $stretches */
    public function __construct(
        public float $rateHz,
        public array $stretches,
    ) {
        if ($rateHz <= 0.0) {
            throw new InvalidTrace(\sprintf('A rate of %s Hz is no rate.', $rateHz));
        }
    }

    /**
     * Sorts samples by time, leaves out second copies, and cuts where more than one sample is missing.
     *
     * @param list<array{float, float, float, float}> $samples milliseconds and three axes
     *
     * @throws InvalidTrace when the samples do not come at about the rate that is named
     */
    public static function fromSamples(float $rateHz, array $samples): self
    {
        usort($samples, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $step = 1000.0 / $rateHz;
        $stretches = $axes = $gaps = [];
        $last = null;
        foreach ($samples as [$at, $x, $y, $z]) {
            if (null !== $last && $at - $last < 0.25 * $step) {
                continue;
            }
            if (null !== $last && $at - $last > 2.5 * $step) {
                $stretches[] = Stretch::from($axes);
                $axes = [];
            } elseif (null !== $last) {
                $gaps[] = $at - $last;
            }
            $axes[] = [$x, $y, $z];
            $last = $at;
        }
        if ([] !== $axes) {
            $stretches[] = Stretch::from($axes);
        }
        $mean = [] === $gaps ? $step : array_sum($gaps) / \count($gaps);
        if (abs($mean - $step) > 0.05 * $step) {
            throw new InvalidTrace(
                \sprintf(
                    'Samples come every %.2f ms; at %s Hz they should every %.2f ms.',
                    $mean,
                    $rateHz,
                    $step,
                ),
            );
        }

        return new self($rateHz, $stretches);
    }

    public function seconds(): float
    {
        return array_sum(
            array_map(static fn (Stretch $s): int => $s->length(), $this->stretches),
        ) / $this->rateHz;
    }

    /** Stretches of another trace added, as a repeat of the same action. */
    public function with(self $more): self
    {
        if ($more->rateHz !== $this->rateHz) {
            throw new InvalidTrace(
                \sprintf('Traces of %s and %s Hz do not add up.', $this->rateHz, $more->rateHz),
            );
        }

        return new self($this->rateHz, [...$this->stretches, ...$more->stretches]);
    }
}
