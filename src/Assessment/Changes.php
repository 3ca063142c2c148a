<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Assessment\Chart\Trend;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\Comparison;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Measure\FingerMotion;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\MeasureKinds;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Unit;

/** Everything that was measured on two days or more, first against last. Real changes come first. */
final readonly class Changes
{
    public function __construct(private MeasureKinds $kinds, private ?\DateTimeImmutable $injectedOn)
    {
    }

    /**
     * @param list<Reading> $history oldest first
     *
     * @return list<Change>
     */
    public function of(array $history): array
    {
        $series = [];
        foreach ($history as $reading) {
            if (\is_float($reading->value)) {
                $series[implode('|', [$reading->code, $reading->argument ?? '', $reading->mode->value ?? '', $reading->side->value ?? ''])][] = $reading;
            }
        }
        $changes = [];
        foreach ($series as $readings) {
            $kind = $this->kinds->find($readings[0]->code);
            if (null !== $kind && $readings[0]->on < $readings[\count($readings) - 1]->on) {
                $changes[] = $this->change($kind, $kind->label.(null === $readings[0]->argument ? '' : ', '.MeasureView::at($kind, $readings[0]->argument)), $readings, 1);
            }
        }
        foreach ([Side::Right, Side::Left] as $side) {
            foreach (Digit::cases() as $digit) {
                $totals = self::totals($history, $side, $digit);
                if (\count($totals) > 1) {
                    $changes[] = $this->change(self::totalMotion($digit), 'Total active motion, '.$digit->value, $totals, 2 * \count($digit->hinges()));
                }
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

        return $changes;
    }

    /** @param non-empty-list<Reading> $readings oldest first */
    private function change(MeasureKind $kind, string $label, array $readings, int $parts): Change
    {
        $first = $readings[0];
        $last = $readings[\count($readings) - 1];
        $found = Comparison::of($kind, $first, $last, $readings, $this->injectedOn, readings: $parts);
        $unit = $kind->unit->sign();
        $hand = trim(($last->side->value ?? '').' '.($last->mode->value ?? ''));

        return new Change(
            $label,
            $hand,
            MeasureView::text($kind, $first).$unit,
            $first->on,
            MeasureView::text($kind, $last).$unit,
            $last->on,
            null === $found->difference ? '' : (0.0 === round($found->difference, 1) ? '0' : \sprintf('%+g', round($found->difference, 1))),
            null === $found->srd ? '' : round($found->srd->value, 1).$unit.', '.$found->srd->from,
            $found->judgement,
            $found->why,
            Trend::of('' === $hand ? $label : $label.', '.$hand, $unit, $readings, $found->srd, $this->injectedOn),
        );
    }

    /**
     * Total active motion of a digit on each day on which all its joints were measured.
     *
     * @param list<Reading> $history
     *
     * @return list<Reading>
     */
    private static function totals(array $history, Side $side, Digit $digit): array
    {
        $byDay = [];
        foreach ($history as $reading) {
            if ($side === $reading->side && Mode::Active === $reading->mode && str_starts_with($reading->code, $digit->value.'_')) {
                $byDay[$reading->on->format('Y-m-d')][] = $reading;
            }
        }
        $totals = [];
        foreach ($byDay as $readings) {
            $motion = FingerMotion::of(new Readings($readings), $side, $digit, Mode::Active);
            if (null !== $motion->totalDegrees) {
                $totals[] = new Reading('total_'.$digit->value, $side, Mode::Active, null, $motion->totalDegrees, $readings[0]->on, false, $readings[0]->taken?->withTrials([]));
            }
        }

        return $totals;
    }

    private static function totalMotion(Digit $digit): MeasureKind
    {
        return new MeasureKind('total_'.$digit->value, 'Total active motion', Unit::Degrees, -90.0, 400.0, '', 0, digit: $digit);
    }
}
