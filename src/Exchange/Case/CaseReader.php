<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Content\Format\ReadingFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\ChosenSchool;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Override;
use HandGarden\Core\Progress\Evidence;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Hands;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;

/** Reads a case from JSON: every value by what it means, and the whole against the published schema. */
final readonly class CaseReader
{
    public function __construct(
        private Catalogue $catalogue,
        private SchemaCheck $schema,
    ) {
    }

    /** @throws InvalidData naming the path */
    public function read(string $json): CaseFile
    {
        $node = Node::fromJson($json);
        $today = $node->get('today')->date();
        $log = new SittingLog(
            array_map(
                (new LogFormat($this->catalogue))->read(...),
                $node->optional('log')?->items() ?? [],
            ),
        );
        $facts = $this->facts($node, $today)->withMet(
            (new Evidence($this->catalogue, new ProgressSettings()))->met($log),
        );

        $this->schema->check($json); // last, because the complaints above are the plainer ones

        return new CaseFile(
            $today,
            $facts,
            $this->goals($node),
            self::limits($node->optional('limits')),
            daysPerWeek: $node->optional('limits')?->optional('days_per_week')?->int() ?? 5,
            routine: $this->routine($node->optional('routine'), $log),
            log: $log,
        );
    }

    private function facts(Node $node, \DateTimeImmutable $today): ClientFacts
    {
        $client = $node->get('client');
        $conditions = $client->get('conditions')->enums(Condition::class);
        $affected = $client->get('affected')->enums(Side::class);
        if ([] === $conditions || [] === $affected) {
            throw $client->fail('needs one condition and one affected side or more');
        }

        return new ClientFacts(
            $conditions,
            $affected,
            $client->optional('unaffected')?->enums(Side::class) ?? [],
            $client->optional('writing_hand')?->enum(Side::class) ?? Side::Right,
            readings: new Readings($this->readings($node, $today)),
            screening: $this->screening(
                $node->optional('screening'),
                $client->optional('injected_on')?->date(),
                $today,
            ),
            injectedOn: $client->optional('injected_on')?->date(),
            helperHere: $client->optional('helper_here')?->bool() ?? false,
            helperSigned: $client->optional('helper_signed')?->strings() ?? [],
            supervised: $client->optional('supervised')?->bool() ?? false,
            atHome: $client->optional('at_home')?->bool() ?? true,
            met: [],
            overrides: array_map($this->override(...), $node->optional('overrides')?->items() ?? []),
            materials: $client->optional('materials')?->strings(),
            suspended: $client->optional('suspended')?->strings() ?? [],
            approaches: array_map(
                static fn (Node $a): ChosenSchool => new ChosenSchool(
                    $a->get('question')->enum(Question::class),
                    $a->get('school')->enum(School::class),
                    $a->get('note')->string(),
                ),
                $node->optional('approaches')?->items() ?? [],
            ),
        );
    }

    /** @return list<Reading> */
    private function readings(Node $node, \DateTimeImmutable $today): array
    {
        $format = new ReadingFormat($this->catalogue);
        $readings = [];
        foreach (
            [
                'measures' => $format->measure(...),
                'observations' => $format->observation(...),
                'tryouts' => $format->tryout(...),
            ] as $key => $read
        ) {
            foreach ($node->optional($key)?->items() ?? [] as $item) {
                $readings[] = $read($item, $today);
            }
        }
        foreach ($node->optional('looked_for')?->items() ?? [] as $item) {
            array_push($readings, ...$format->restOfList($item, $readings, $today));
        }

        return $readings;
    }

    private function screening(
        ?Node $node,
        ?\DateTimeImmutable $injectedOn,
        \DateTimeImmutable $today,
    ): Screening {
        $answers = [];
        foreach ($node?->map() ?? [] as $id => $answer) {
            if (null === $this->catalogue->screening->find($id)) {
                throw $answer->fail('is not a screening question');
            }
            $dated = !\is_string($answer->raw());
            $answers[$id] = [
                ($dated ? $answer->get('answer') : $answer)->enum(Answer::class),
                $dated ? $answer->get('on')->date() : $today,
            ];
        }

        return new Screening($this->catalogue->screening, $answers, $injectedOn);
    }

    private function override(Node $node): Override
    {
        $rung = $node->get('rung')->string();
        $ladder = $node->get('ladder')->string();
        if (!$this->catalogue->hasRung($rung) || $this->catalogue->ladderOf($rung)->key !== $ladder) {
            throw $node->get('rung')->fail(\sprintf('"%s" is not a rung of %s', $rung, $ladder));
        }

        return new Override(
            $ladder,
            $node->get('side')->enum(Side::class),
            $rung,
            $node->get('note')->string(),
        );
    }

    /** One task, or several with their weights. */
    private function goals(Node $case): Goals
    {
        $weights = [];
        $one = $case->optional('goal');
        if (null !== $one && null !== $one->raw()) {
            $weights[$this->goal($one, $one->string())] = Goals::MOST;
        }
        foreach ($case->optional('goals')?->map() ?? [] as $key => $weight) {
            $weights[$this->goal($weight, $key)] = $weight->int(Goals::LEAST, Goals::MOST);
        }

        return Goals::chosen($this->catalogue->goals, $weights);
    }

    private function goal(Node $at, string $key): string
    {
        return $this->catalogue->goal($key)->key
            ?? throw $at->fail(
                \sprintf(
                    '"%s" is not a goal; expected one of %s',
                    $key,
                    implode(
                        ', ',
                        array_map(
                            static fn (GoalTask $g): string => $g->key,
                            $this->catalogue->goals,
                        ),
                    ),
                ),
            );
    }

    private static function limits(?Node $node): Limits
    {
        return new Limits(
            $node?->optional('minutes')?->int(3, 90) ?? 20,
            $node?->optional('effort')?->float(1),
            $node?->optional('home_items')?->int(1) ?? Limits::HOME_ITEMS,
            $node?->optional('last_strength_on')?->date(),
        );
    }

    /** @return list<Prescribed> as written, or what the log was last done with */
    private function routine(?Node $node, SittingLog $log): array
    {
        $items = [];
        foreach ($node?->items() ?? [] as $item) {
            $rung = $item->get('rung')->string();
            if (!$this->catalogue->hasRung($rung)) {
                throw $item->get('rung')->fail(\sprintf('"%s" is not in the catalogue', $rung));
            }
            $items[] = new Prescribed(
                $this->catalogue->rung($rung),
                $item->get('hands')->enum(Hands::class),
                DoseFormat::read($item->optional('dose'), $this->catalogue->rung($rung)->startDose),
            );
        }
        if (null === $node) {
            foreach ($log->itemKeys() as $key) {
                $lines = $log->of($key);
                if ([] !== $lines) {
                    $last = $lines[array_key_last($lines)];
                    $items[] = new Prescribed(
                        $this->catalogue->rung($last->rungId),
                        $last->hands,
                        $last->dose,
                    );
                }
            }
        }

        return $items;
    }
}
