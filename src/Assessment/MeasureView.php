<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Condition\FactCode;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\MeasureGroup;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\TakenAt;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\Unit;
use HandGarden\Core\Placement\Needed;
use HandGarden\Library\FactWords;

/**
 * The measuring page: rows with a field for each hand and mode, and the last value behind each.
 *
 * @phpstan-type Field array{
 *     name: string,
 *     key: string,
 *     kind: 'number'|'grade'|'yesno'|'tryout',
 *     label: string,
 *     column: string,
 *     side: ?string,
 *     mode: ?string,
 *     value: string,
 *     last: string,
 *     lastOn: string,
 *     timed: bool,
 *     counted: bool,
 *     max: float,
 *     unit: string,
 *     trials: int,
 * }
 * @phpstan-type FieldRow array{label: string, how: string, seconds: ?int, fields: list<Field>}
 */
final readonly class MeasureView
{
    /** @param array<string, array<string, string>> $typed what was typed, by part and field */
    public function __construct(
        private Catalogue $catalogue,
        private Readings $known,
        private array $typed,
        private FactWords $words,
    ) {
    }

    /** @return list<array{title: string, columns: list<string>, rows: list<FieldRow>}> */
    public function groups(Preset $preset): array
    {
        $groups = [];
        foreach ($this->catalogue->vocabulary->kinds->groups as $group) {
            if ($preset->shows($group)) {
                array_push($groups, ...$this->ofGroup($group));
            }
        }

        return $groups;
    }

    /** @return list<array{title: string, columns: list<string>, rows: list<FieldRow>}> */
    private function ofGroup(MeasureGroup $group): array
    {
        $rows = [];
        foreach ($this->catalogue->vocabulary->kinds->all() as $kind) {
            if ($kind->group !== $group->key) {
                continue;
            }
            if (TakenAt::FingerPair === $kind->takenAt) {
                return array_map($this->along(...), [Side::Right, Side::Left]);
            }
            foreach (self::takenAt($kind) as $argument) {
                $rows[] = $this->row($kind, $argument);
            }
        }

        return [['title' => $group->title, 'columns' => self::columns($rows), 'rows' => $rows]];
    }

    /** @return non-empty-list<?string> opening is judged with the wrist as it rests as well */
    private static function takenAt(MeasureKind $kind): array
    {
        return match (true) {
            $kind->mayBeTakenAtRest => [null, ...$kind->arguments],
            [] === $kind->arguments => [null],
            default => $kind->arguments,
        };
    }

    /**
     * What ladders ask, one row for a fact, both hands beside each other where both are asked.
     *
     * @param list<Needed> $asked
     *
     * @return list<array{title: string, columns: list<string>, rows: list<FieldRow>}>
     */
    public function asked(array $asked): array
    {
        $rows = [];
        foreach ($asked as $fact) {
            $fields = array_map(
                $this->field(...),
                FieldName::answering($fact, $this->catalogue->vocabulary),
            );
            if ([] === $fields) {
                continue;
            }
            $key = (new FactCode($fact->code, $fact->argument))->text();
            $rows[$key] ??= [
                'label' => $this->words->name($fact->code, $fact->argument),
                'how' => $this->howOf($fields),
                'seconds' => 0,
                'fields' => [],
            ];
            $rows[$key]['seconds'] += $fact->seconds;
            array_push($rows[$key]['fields'], ...$fields);
        }

        return [] === $rows ? [] : [['title' => '', 'columns' => [], 'rows' => array_values($rows)]];
    }

    /** @return list<array{title: string, key: string, rows: list<FieldRow>}> */
    public function lists(): array
    {
        $lists = [];
        foreach ($this->catalogue->vocabulary->lists as $list) {
            $rows = [];
            foreach ($list->observations as $observation) {
                foreach ([] === $observation->parts ? [null] : $observation->parts as $part) {
                    $rows[] = [
                        'label' => $observation->question.(
                            null === $part ? '' : ': '.str_replace('_', ' ', $part)
                        ),
                        'how' => '',
                        'seconds' => null,
                        'fields' => array_map(
                            fn (?Side $side): array => $this->field(
                                FieldName::observation($observation->code, $side, $part),
                            ),
                            $observation->sided ? [Side::Right, Side::Left] : [null],
                        ),
                    ];
                }
            }
            $lists[] = ['title' => $list->title, 'key' => $list->key, 'rows' => $rows];
        }

        return $lists;
    }

    /**
     * @param list<Side> $sides
     *
     * @return list<FieldRow>
     */
    public function tryouts(array $sides): array
    {
        $rows = [];
        foreach ($this->catalogue->ladders() as $ladder) {
            foreach ($ladder->kind->isClimbed() ? $ladder->rungs : [] as $rung) {
                $rows[] = [
                    'label' => $rung->name,
                    'how' => '',
                    'seconds' => null,
                    'fields' => array_map(
                        fn (Side $side): array => $this->field(FieldName::tryout($rung->id, $side)),
                        $sides,
                    ),
                ];
            }
        }

        return $rows;
    }

    public static function text(?MeasureKind $kind, Reading $reading): string
    {
        return match (true) {
            null === $reading->value => 'usual',
            \is_bool($reading->value) => $reading->value ? 'yes' : 'no',
            Unit::Grade === $kind?->unit
                && \is_float($reading->value) => ToneGrade::fromRank($reading->value)->value,
            \is_float($reading->value) => (string) round($reading->value, 1),
            default => $reading->value,
        };
    }

    /** A measure with what it is taken at, in plain words. */
    public static function name(MeasureKind $kind, ?string $argument): string
    {
        return $kind->label.(null === $argument ? '' : ', '.self::at($kind, $argument));
    }

    public static function at(MeasureKind $kind, string $argument): string
    {
        return $kind->argumentLabels[$argument] ?? match ($kind->takenAt) {
            TakenAt::WristAngle => 'wrist at '.$argument.'°',
            TakenAt::FingerPair => str_replace('>', ' asked, moves ', $argument),
            TakenAt::Part, TakenAt::Task, null => $argument,
        };
    }

    /**
     * A row for each finger that is asked, a column for each that moves.
     *
     * @return array{title: string, columns: list<string>, rows: list<FieldRow>}
     */
    private function along(Side $side): array
    {
        $rows = [];
        foreach (Digit::cases() as $asked) {
            $fields = array_map(
                fn (Digit $moving): array => $this->field(
                    FieldName::measure('along', $side, null, Independence::pair($asked, $moving)),
                ),
                Digit::cases(),
            );
            $rows[] = [
                'label' => ucfirst($asked->value).' asked',
                'how' => 'How far each moves, 0 to 3; the asked one must reach 3.',
                'seconds' => null,
                'fields' => $fields,
            ];
        }

        return [
            'title' => 'Moves along, '.$side->value,
            'columns' => array_map(
                static fn (Digit $d): string => ucfirst($d->value),
                Digit::cases(),
            ),
            'rows' => $rows,
        ];
    }

    /** @return FieldRow */
    private function row(MeasureKind $kind, ?string $argument): array
    {
        $fields = [];
        foreach ($kind->sided ? [Side::Right, Side::Left] : [null] as $side) {
            foreach ($kind->hasMode ? [Mode::Active, Mode::Passive] : [null] as $mode) {
                $fields[] = $this->field(FieldName::measure($kind->code, $side, $mode, $argument));
            }
        }

        return ['label' => self::label(
            $kind,
            $argument,
        ), 'how' => $kind->howTaken, 'seconds' => null, 'fields' => $fields];
    }

    private static function label(MeasureKind $kind, ?string $argument): string
    {
        if ($kind->mayBeTakenAtRest) {
            return null === $argument ? 'Wrist as it rests' : ucfirst(self::at($kind, $argument));
        }
        $end = $kind->isFlexionEnd ? ' bent' : ' straight';
        $name = null === $kind->joint ? $kind->label : $kind->joint->label().$end;

        return null === $argument ? $name : $name.': '.self::at($kind, $argument);
    }

    /** @return Field */
    private function field(FieldName $name): array
    {
        $kind = $this->catalogue->vocabulary->kinds->find($name->code);
        $last = $this->known->newest($name->code, $name->side, $name->mode, $name->argument);
        $title = $kind->label
            ?? $this->catalogue->vocabulary->observation($name->code)->question
            ?? (
                null !== $name->argument && $this->catalogue->hasRung($name->argument)
                    ? $this->catalogue->rung($name->argument)->name
                    : 'Try-out'
            );

        return [
            'name' => $name->name(),
            'key' => $name->key(),
            'kind' => match (true) {
                'o' === $name->part => 'yesno',
                't' === $name->part => 'tryout',
                Unit::Grade === $kind?->unit => 'grade',
                default => 'number',
            },
            'label' => implode(
                ', ',
                array_filter(
                    [
                        $title,
                        match (true) {
                            null === $name->argument || 't' === $name->part => '',
                            'm' === $name->part && null !== $kind => self::at($kind, $name->argument),
                            default => str_replace(['_', '-'], ' ', $name->argument),
                        },
                        $name->side->value ?? '',
                        $name->mode->value ?? '',
                    ],
                    static fn (string $part): bool => '' !== $part,
                ),
            ),
            'column' => implode(
                ', ',
                array_filter(
                    [
                        ucfirst($name->side->value ?? ''),
                        $name->mode->value ?? '',
                        'm' === $name->part && null !== $kind && null !== $name->argument
                            ? self::at($kind, $name->argument)
                            : '',
                    ],
                    static fn (string $part): bool => '' !== $part,
                ),
            ),
            'side' => $name->side?->value,
            'mode' => $name->mode?->value,
            'value' => $this->typed[$name->part][$name->key()] ?? '',
            'last' => null === $last ? '' : self::text($kind, $last),
            'lastOn' => null === $last ? '' : $last->on->format('j M'),
            'timed' => Unit::Seconds === $kind?->unit,
            'counted' => Unit::Count === $kind?->unit,
            'max' => $kind->max ?? 0.0,
            'unit' => $kind?->unit->sign() ?? '',
            'trials' => $kind->usualTrials ?? 1,
        ];
    }

    /** @param list<Field> $fields */
    private function howOf(array $fields): string
    {
        $parsed = ReadingKey::parse($fields[0]['key'] ?? '');

        return null === $parsed
            ? ''
            : ($this->catalogue->vocabulary->kinds->find($parsed[0])->howTaken ?? '');
    }

    /**
     * @param list<FieldRow> $rows
     *
     * @return list<string>
     */
    private static function columns(array $rows): array
    {
        $most = $rows[0]['fields'] ?? [];
        foreach ($rows as $row) {
            $most = \count($row['fields']) > \count($most) ? $row['fields'] : $most;
        }

        return array_map(
            static fn (array $f): string => implode(
                ', ',
                array_filter(
                    [ucfirst($f['side'] ?? ''), $f['mode'] ?? ''],
                    static fn (string $p): bool => '' !== $p,
                ),
            ),
            $most,
        );
    }
}
