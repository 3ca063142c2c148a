<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Planning\RoutineFormat;
use Symfony\Component\Uid\Uuid;

/** Writes what happened to a made-up client as the demonstration clinic loads it: the same story, the same file. */
final class Recorder
{
    private const SPACE = '7d3f0c52-6f0a-4c35-9a0e-0b2f5f7d9a11';

    /** @var array<string, string> */
    private array $doses = [];

    public function __construct(
        private readonly string $name,
        private readonly Story $story,
    ) {
    }

    /**
     * @param list<Day> $trace
     *
     * @return array<string, mixed>
     */
    public function record(array $trace): array
    {
        $this->doses = [];
        $last = $trace[\count($trace) - 1];
        $days = array_map($this->day(...), $trace);

        return [
            'today' => $this->story->begin->modify('+'.$this->daysToToday().' days')->format('Y-m-d'),
            'minutes' => $last->minutes,
            'routine' => RoutineFormat::write($last->routine),
            'days' => array_values(array_filter(
                $days,
                static fn (array $day): bool => \count($day) > 1,
            )),
        ];
    }

    private function daysToToday(): int
    {
        return $this->story->days() + $this->story->ends;
    }

    /** @return array<string, mixed> */
    private function day(Day $day): array
    {
        $kept = [
            'ago' => $this->daysToToday() - $day->number,
            'visit' => $day->isVisit ? true : null,
            'doses' => $this->newDoses($day),
            'decided' => array_map(
                $this->decided(...),
                $day->decided,
            ),
            'sittings' => $this->sittings($day),
            'rests' => array_values(
                array_diff($day->suspended, [Decided::EVERYTHING]),
            ),
        ];

        return array_filter(
            $kept,
            static fn (mixed $v): bool => null !== $v && [] !== $v,
        );
    }

    /** @return list<array<string, mixed>> */
    private function newDoses(Day $day): array
    {
        $byKey = [];
        foreach ($day->decided as $proposal) {
            $byKey[$proposal->itemKey() ?? ''] = $this->key($proposal);
        }
        $new = [];
        foreach ($day->doses as $key => $dose) {
            $text = serialize(DoseFormat::write($dose));
            if ($text !== ($this->doses[$key] ?? '')) {
                $this->doses[$key] = $text;
                $new[] = [
                    'key' => $key,
                    'dose' => DoseFormat::write($dose),
                    'proposal' => $byKey[$key] ?? '',
                ];
            }
        }

        return $new;
    }

    /** @return array<string, mixed> */
    private function decided(Proposal $proposal): array
    {
        return array_filter([
            'key' => $this->key($proposal),
            'kind' => $proposal->kind->value,
            'why' => PhraseFormat::write($proposal->why),
            'rung' => $proposal->rungId,
            'hands' => $proposal->hands?->value,
            'to' => ProposalKind::RungBelow === $proposal->kind ? $proposal->toRungId : null,
        ], static fn (mixed $v): bool => null !== $v);
    }

    /** @return list<array<string, mixed>> */
    private function sittings(Day $day): array
    {
        $told = [];
        foreach ($day->lines as $line) {
            if (!$line->isCopy) {
                $told[$line->key] = Told::line(
                    $line,
                    $this->story->begin,
                    null,
                );
            }
        }
        $sittings = [];
        foreach ($day->sittings as $sitting) {
            $lines = [];
            foreach ($sitting as $given) {
                $line = $told[$given->key()] ?? null;
                if (null !== $line) {
                    $lines[] = $this->line(
                        $given,
                        $line->id,
                        self::body($line),
                    );
                }
            }
            $sittings[] = ['lines' => $lines];
        }
        foreach ($day->left as $sitting) {
            $body = [
                'outcome' => Outcome::Skipped->value,
                'reason' => $day->reason?->value,
            ];
            $sittings[] = ['lines' => array_map(
                fn (Given $g): array => $this->line(
                    $g,
                    'left '.$day->number.' '.$g->key(),
                    $body,
                ),
                $sitting,
            )];
        }

        return $sittings;
    }

    /** @return array<string, mixed> */
    private static function body(LogLine $line): array
    {
        $isDone = Outcome::Done === $line->outcome;
        $body = LogFormat::write(new \HandGarden\Core\Progress\Told(
            $line->outcome,
            $isDone ? null : $line->repetitions,
            $line->holdSeconds,
            $line->painBefore,
            painAfter: $line->painAfter,
            tone: $line->tone,
            help: $line->help,
            compensations: $line->compensations,
            fatigue: $line->fatigue,
            newTingling: $line->newTingling,
            felt: $line->felt,
        ));

        return $body + (($line->errors ?? 0) > 0 ? ['errors' => $line->errors] : []);
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    private function line(Given $given, string $id, array $body): array
    {
        return [
            'id' => $this->id($id),
            'key' => $given->key(),
            'dose' => self::changed(
                $given->dose,
                $given->rung->dosing->start,
            ),
            'told' => $body,
        ];
    }

    /** @return array<string, mixed> */
    private static function changed(Dose $dose, Dose $start): array
    {
        $was = DoseFormat::write($start);

        return array_filter(
            DoseFormat::write($dose),
            static fn (mixed $v, string $k): bool => $v !== ($was[$k] ?? null),
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    private function key(Proposal $proposal): string
    {
        $newest = [] === $proposal->evidence ? '' : $proposal->evidence[array_key_last($proposal->evidence)];

        return implode('|', [
            $proposal->ruleId,
            $proposal->rungId ?? '',
            $proposal->hands->value ?? '',
            '' === $newest ? '' : $this->id($newest),
        ]);
    }

    private function id(string $line): string
    {
        return Uuid::v5(Uuid::fromString(self::SPACE), $this->name.' '.$line)->toRfc4122();
    }
}
