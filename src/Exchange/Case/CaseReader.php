<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\UsualPain;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Limits;

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
        $facts = ClientFacts::from(new CaseFacts($node, $today, $this->catalogue));

        $this->schema->check($json); // last, because the complaints above are the plainer ones

        return new CaseFile(
            $today,
            $facts,
            $this->goals($node),
            self::limits($node->optional('limits')),
            daysPerWeek: $node->optional('limits')?->optional('days_per_week')?->int() ?? 5,
            routine: $this->routine($node->optional('routine'), $log),
            log: $log,
            usualPain: self::usualPain($node->get('client')->optional('usual_pain')),
            focusFirst: array_map($this->focus(...), $node->optional('focus')?->items() ?? []),
        );
    }

    private static function usualPain(?Node $node): UsualPain
    {
        $levels = [];
        foreach ($node?->items() ?? [] as $item) {
            $key = UsualPain::key(
                $item->get('part')->enum(ArmPart::class),
                $item->get('side')->enum(Side::class),
            );
            $levels[$key] = $item->get('level')->int(0, UsualPain::MOST);
        }

        return new UsualPain($levels);
    }

    /** @return string `ladder|side` */
    private function focus(Node $node): string
    {
        $key = $node->get('ladder')->string();
        foreach ($this->catalogue->ladders() as $ladder) {
            if ($ladder->key === $key) {
                return $key.'|'.$node->get('side')->enum(Side::class)->value;
            }
        }

        throw $node->get('ladder')->fail(\sprintf('"%s" is not a ladder', $key));
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
                throw $item->get('rung')->fail(\sprintf(
                    '"%s" is not in the catalogue',
                    $rung,
                ));
            }
            $items[] = new Prescribed(
                $this->catalogue->rung($rung),
                $item->get('hands')->enum(Hands::class),
                DoseFormat::read(
                    $item->optional('dose'),
                    $this->catalogue->rung($rung)->dosing->start,
                ),
            );
        }
        if (null === $node) {
            foreach ($log->itemKeys() as $key) {
                $lines = $log->for($key);
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
