<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Phrase;

/** What a measure did in a time, as a sentence and as the row of a table: begin, now, and the word for the change. */
final class MeasureRow
{
    public static function of(Measured $one): Sentence
    {
        $change = self::change($one);

        return new Sentence(
            new Phrase('report.measured', [
                'label' => $one->label,
                'hand' => self::hand($one->hand),
                'first' => $one->first,
                'first_on' => Phrase::day($one->firstOn),
                'last' => $one->last,
                'last_on' => Phrase::day($one->lastOn),
                'change' => $change,
            ]),
            $one->facts(),
            isOwed: Judgement::Loss === $one->judgement,
            cells: [
                self::name($one->label, $one->hand),
                self::at($one->first, $one->firstOn),
                self::at($one->last, $one->lastOn),
                $change,
            ],
        );
    }

    public static function once(Once $one): Sentence
    {
        $taken = null !== $one->value && null !== $one->on;
        $not = new Phrase($taken ? 'report.not_again' : 'report.not_measured');

        return new Sentence(
            new Phrase($taken ? 'report.once' : 'report.never', [
                'label' => $one->label,
                'hand' => self::hand($one->hand),
                'first' => $one->value ?? '',
                'first_on' => null === $one->on ? '' : Phrase::day($one->on),
            ]),
            null === $one->on
                ? [new Fact(FactKind::Reading, $one->key)]
                : [Fact::ofMeasure($one->key, $one->on)],
            cells: [
                self::name($one->label, $one->hand),
                null !== $one->value && null !== $one->on ? self::at($one->value, $one->on) : $not,
                $not,
                '',
            ],
        );
    }

    private static function change(Measured $one): Phrase
    {
        $figures = [
            'difference' => $one->difference,
            'least' => $one->mustBeat,
            'injected' => $one->isInjected ? 1 : 0,
            'same_tester' => $one->sameTester ? 1 : 0,
        ];

        return match ($one->judgement) {
            Judgement::Gain => new Phrase('report.gain', $figures),
            Judgement::Loss => new Phrase('report.loss', $figures),
            Judgement::NoChange => new Phrase('report.no_change', $figures),
            Judgement::NotComparable => new Phrase('report.not_comparable', [
                'why' => $one->why ?? new Phrase('judgement.not_comparable'),
            ]),
            Judgement::NeedsRepeats => new Phrase('report.needs_repeats', $figures),
        };
    }

    /** As the words choose by it. */
    private static function hand(string $hand): string
    {
        return '' === $hand ? 'none' : $hand;
    }

    private static function name(string $label, string $hand): Phrase
    {
        return '' === $hand
            ? Phrase::own($label)
            : new Phrase('report.of_hand', ['label' => $label, 'hand' => $hand]);
    }

    private static function at(string $value, \DateTimeImmutable $on): Phrase
    {
        return new Phrase('report.value_on', ['value' => $value, 'on' => Phrase::day($on)]);
    }
}
