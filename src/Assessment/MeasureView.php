<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\Unit;
use HandGarden\Core\Placement\CheckList;

/** The measuring page: groups of rows with a field for each hand and mode, and the last value behind each. */
final readonly class MeasureView
{
    /** @param array<mixed> $typed what was typed, by field name */
    public function __construct(private Catalogue $catalogue, private Readings $known, private array $typed)
    {
    }

    /** @return list<array{title: string, rows: list<array{label: string, how: string, fields: list<array<string, mixed>>}>}> */
    public function groups(): array
    {
        $titles = ['wrist' => 'Wrist and forearm', 'thumb' => 'Thumb', 'index' => 'Index', 'middle' => 'Middle', 'ring' => 'Ring', 'little' => 'Little', 'opening' => 'Opening by eye, in tens', 'try' => 'Timed and counted', 'skill' => 'Fingers, grip and pieces', 'tone' => 'Tone, last of all'];
        $rows = array_fill_keys(array_keys($titles), []);
        foreach ($this->catalogue->vocabulary->kinds->all() as $kind) {
            foreach ('opening' === $kind->code ? [null, ...$kind->arguments] : ([] === $kind->arguments ? [null] : $kind->arguments) as $argument) {
                $rows[self::groupOf($kind)][] = $this->row($kind, $argument);
            }
        }
        $groups = [];
        foreach ($titles as $key => $title) {
            $groups[] = ['title' => $title, 'rows' => $rows[$key]];
        }

        return $groups;
    }

    /** @return list<array{list: CheckList, rows: list<array{text: string, fields: list<array{name: string, side: ?string, yes: bool, last: string}>}>}> */
    public function lists(): array
    {
        $lists = [];
        foreach ($this->catalogue->vocabulary->lists as $list) {
            $rows = [];
            foreach ($list->observations as $observation) {
                foreach ([] === $observation->parts ? [null] : $observation->parts as $part) {
                    $fields = [];
                    foreach ($observation->sided ? [Side::Right, Side::Left] : [null] as $side) {
                        $last = $this->known->newest($observation->code, $side, null, $part);
                        $fields[] = ['name' => ReadingKey::of($observation->code, $side, null, $part), 'side' => $side?->value, 'yes' => false, 'last' => null === $last ? '' : (true === $last->value ? 'yes' : 'no').' '.$last->on->format('j M')];
                    }
                    $rows[] = ['text' => $observation->question.(null === $part ? '' : ': '.str_replace('_', ' ', $part)), 'fields' => $fields];
                }
            }
            $lists[] = ['list' => $list, 'rows' => $rows];
        }

        return $lists;
    }

    /** @return array{label: string, how: string, fields: list<array<string, mixed>>} */
    private function row(MeasureKind $kind, ?string $argument): array
    {
        $fields = [];
        foreach ($kind->sided ? [Side::Right, Side::Left] : [null] as $side) {
            foreach ($kind->hasMode ? [Mode::Active, Mode::Passive] : [null] as $mode) {
                $name = ReadingKey::of($kind->code, $side, $mode, $argument);
                $last = $this->known->newest($kind->code, $side, $mode, $argument);
                $typed = $this->typed[$name] ?? '';
                $fields[] = [
                    'name' => $name,
                    'label' => $kind->label.(null === $argument ? '' : ', '.self::at($kind, $argument)).(null === $side ? '' : ', '.$side->value).(null === $mode ? '' : ', '.$mode->value),
                    'side' => $side?->value,
                    'mode' => $mode?->value,
                    'value' => \is_string($typed) ? $typed : '',
                    'last' => null === $last ? '' : self::text($kind, $last),
                    'lastOn' => null === $last ? '' : $last->on->format('j M'),
                    'isGrade' => Unit::Grade === $kind->unit,
                    'timed' => Unit::Seconds === $kind->unit,
                    'counted' => Unit::Count === $kind->unit,
                    'max' => $kind->max,
                    'unit' => $kind->unit->sign(),
                ];
            }
        }
        $where = 'opening' === $kind->code ? (null === $argument ? 'Wrist as it rests' : ucfirst(self::at($kind, $argument))) : self::short($kind).(null === $argument ? '' : ': '.self::at($kind, $argument));

        return ['label' => $where, 'how' => $kind->howTaken, 'fields' => $fields];
    }

    public static function text(MeasureKind $kind, Reading $reading): string
    {
        return match (true) {
            null === $reading->value => 'usual',
            Unit::Grade === $kind->unit && \is_float($reading->value) => ToneGrade::fromRank($reading->value)->value,
            \is_float($reading->value) => (string) round($reading->value, 1),
            default => (string) $reading->value,
        };
    }

    public static function at(MeasureKind $kind, string $argument): string
    {
        return \in_array($kind->code, ['opening', 'release_tries_n'], true) ? 'wrist at '.$argument.'°' : $argument;
    }

    private static function short(MeasureKind $kind): string
    {
        return null === $kind->joint ? $kind->label : $kind->joint->label().($kind->isFlexionEnd ? ' bent' : ' straight');
    }

    private static function groupOf(MeasureKind $kind): string
    {
        return match (true) {
            $kind->digit instanceof Digit => $kind->digit->value,
            str_starts_with($kind->code, 'tone_') => 'tone',
            'opening' === $kind->code => 'opening',
            \in_array($kind->code, ['thumb_palmar_abduction', 'opposition_0to10'], true) => 'thumb',
            Unit::Degrees === $kind->unit => 'wrist',
            1 === preg_match('/^(individuation|grip|pinch|pick|turns|coins|release)_/', $kind->code) => 'skill',
            default => 'try',
        };
    }
}
