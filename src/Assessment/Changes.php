<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Assessment\Chart\Trend;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\Comparison;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Measure\Change\Terms;
use HandGarden\Core\Measure\FingerMotion;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\MeasureKinds;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Taken;
use HandGarden\Core\Measure\Unit;
use HandGarden\Web\Wording;

/** Everything that was measured on two days or more, first against last. Real changes come first. */
final readonly class Changes
{
    public function __construct(
        private MeasureKinds $kinds,
        private Terms $terms,
        private Wording $wording,
    ) {
    }

    /**
     * @param list<Reading> $history oldest first
     * @param int           $charts  how many of the first rows are drawn as well
     *
     * @return list<Change>
     */
    public function for(array $history, int $charts = 12): array
    {
        $series = [];
        foreach ($history as $reading) {
            if (\is_float($reading->value)) {
                $series[self::key($reading, $reading->side)][] = $reading;
            }
        }
        $changes = [];
        foreach ($series as $readings) {
            $kind = $this->kinds->find($readings[0]->code);
            if (null !== $kind && $readings[0]->on < $readings[\count($readings) - 1]->on) {
                $changes[] = $this->change(
                    $kind,
                    MeasureView::name($kind, $readings[0]->argument),
                    $readings,
                    1,
                    other: $series[self::key($readings[0], $readings[0]->side?->opposite())] ?? [],
                );
            }
        }
        foreach (self::totals($history) as $totals) {
            $digit = Digit::from(substr($totals[0]->code, 6));
            if (\count($totals) > 1) {
                $changes[] = $this->change(
                    self::totalMotion($digit),
                    'Total active motion, '.$digit->value,
                    $totals,
                    2 * \count($digit->hinges()),
                );
            }
        }
        $rank = static fn (Change $c): int => match ($c->judgement) {
            Judgement::Loss => 0,
            Judgement::Gain => 1,
            Judgement::NotComparable => 3,
            Judgement::NeedsRepeats => 4,
            Judgement::NoChange => 2,
        };
        usort($changes, static fn (Change $a, Change $b): int => $rank($a) <=> $rank($b));

        return array_map(
            static fn (Change $c, int $place): Change => $place < $charts ? $c->drawn() : $c,
            $changes,
            array_keys($changes),
        );
    }

    private static function key(Reading $reading, ?Side $side): string
    {
        return implode('|', [
            $reading->code,
            $reading->argument ?? '',
            $reading->mode->value ?? '',
            $side->value ?? '',
        ]);
    }

    /**
     * @param non-empty-list<Reading> $readings oldest first
     * @param list<Reading>           $other    the same of the other hand
     */
    private function change(
        MeasureKind $kind,
        string $label,
        array $readings,
        int $parts,
        array $other = [],
    ): Change {
        $first = $readings[0];
        $last = $readings[\count($readings) - 1];
        $found = Comparison::from(
            $kind,
            $first,
            $last,
            $readings,
            terms: $this->terms,
            readings: $parts,
        );
        $unit = $kind->unit->sign();
        $hand = trim(($last->side->value ?? '').' '.($last->mode->value ?? ''));

        return new Change(
            self::key($first, $first->side),
            $label,
            $hand,
            MeasureView::text($kind, $first).$unit,
            firstOn: $first->on,
            last: MeasureView::text($kind, $last).$unit,
            lastOn: $last->on,
            difference: match (true) {
                null === $found->difference => '',
                0.0 === round($found->difference, 1) => '0',
                default => \sprintf(
                    '%+g',
                    round($found->difference, 1),
                ),
            },
            mustBeat: null === $found->srd
                ? ''
                : round($found->srd->value, 1).$unit.', '.$this->wording->say($found->srd->from),
            judgement: $found->judgement,
            why: $found->why,
            sameTester: Taken::bySame($first->taken ?? new Taken(), $last->taken ?? new Taken()),
            draw: fn (): Chart => Trend::from(
                '' === $hand ? $label : $label.', '.$hand,
                $unit,
                $readings,
                $found->srd,
                injectedOn: $this->terms->injectedOn,
                other: array_values(array_filter(
                    $other,
                    static fn (Reading $r): bool => $r->on >= $first->on && $r->on <= $last->on,
                )),
            ),
        );
    }

    /**
     * Total active motion of each digit on each day on which all its joints were measured.
     *
     * @param list<Reading> $history oldest first
     *
     * @return array<string, non-empty-list<Reading>> by hand and digit
     */
    private static function totals(array $history): array
    {
        $byDay = [];
        foreach ($history as $reading) {
            $digit = strstr($reading->code, '_', true);
            if (
                Mode::Active === $reading->mode
                && null !== $reading->side
                && false !== $digit
                && null !== Digit::tryFrom($digit)
            ) {
                $byDay[$reading->side->value.' '.$digit][$reading->on->getTimestamp()][] = $reading;
            }
        }
        $totals = [];
        foreach ($byDay as $key => $days) {
            [$side, $digit] = explode(' ', $key);
            foreach ($days as $readings) {
                $motion = FingerMotion::from(
                    new Readings($readings),
                    Side::from($side),
                    Digit::from($digit),
                    Mode::Active,
                );
                if (null !== $motion->totalDegrees) {
                    $totals[$key][] = new Reading(
                        'total_'.$digit,
                        Side::from($side),
                        Mode::Active,
                        null,
                        value: $motion->totalDegrees,
                        on: $readings[0]->on,
                        byEye: false,
                        taken: $readings[0]->taken?->withTrials([]),
                    );
                }
            }
        }

        return $totals;
    }

    private static function totalMotion(Digit $digit): MeasureKind
    {
        return new MeasureKind(
            'total_'.$digit->value,
            'Total active motion',
            Unit::Degrees,
            -90.0,
            max: 400.0,
            howTaken: '',
            secondsToTake: 0,
            digit: $digit,
        );
    }
}
