<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Condition as ClientCondition;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseRange;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Catalogue\Posture;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\ProgressSpec;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\Condition\AnyOf;
use HandGarden\Core\Placement\Condition\Condition;
use HandGarden\Core\Placement\Condition\ConditionParser;
use HandGarden\Core\Placement\Condition\SidePrefix;

/** Reads one ladder file. */
final readonly class LadderReader
{
    /** @param array<string, Caution> $gates */
    public function __construct(private ConditionParser $conditions, private array $gates)
    {
    }

    public function read(Node $node): Ladder
    {
        $node->only('key', 'strand', 'name', 'kind', 'entry', 'move_up', 'ease_down', 'instead_below', 'rounds', 'rungs');
        $rungs = array_map($this->rung(...), $node->get('rungs')->items());
        if ([] === $rungs) {
            throw $node->get('rungs')->fail('a ladder has one rung or more');
        }

        return new Ladder(
            $node->get('key')->string(),
            $node->get('strand')->enum(Strand::class),
            $node->get('name')->string(),
            $node->get('kind')->enum(LadderKind::class),
            $node->get('entry')->string(),
            $node->get('move_up')->string(),
            $node->get('ease_down')->string(),
            $node->optional('instead_below')?->string(),
            $node->optional('rounds')?->int(1, 5) ?? 1,
            $rungs,
        );
    }

    private function rung(Node $node): Rung
    {
        $node->only('id', 'name', 'performers', 'position', 'posture', 'materials', 'steps', 'side', 'dose_words', 'watch_for', 'ease', 'harder', 'stop', 'why', 'fits', 'avoid_when', 'gates', 'moves', 'loads', 'lengthens', 'class', 'intensity', 'segment', 'role', 'when', 'ends_while', 'firm_wrist', 'needs_before', 'dose', 'range', 'progress', 'picture');
        $doneOn = $node->get('side')->enum(DoneOn::class);
        $together = DoneOn::BothTogether === $doneOn;
        $entry = CatalogueReader::condition($this->conditions, $node->get('when'));
        $ends = $node->optional('ends_while');
        $steps = $node->get('steps')->strings();
        if ([] === $steps) {
            throw $node->get('steps')->fail('an exercise has one step or more');
        }

        return new Rung(
            $node->get('id')->string(),
            $node->get('name')->string(),
            $node->get('performers')->enums(Performer::class),
            $node->get('materials')->strings(),
            $steps,
            array_map(static fn (string $key): string => $node->get($key)->string(), ['position' => 'position', 'watchFor' => 'watch_for', 'ease' => 'ease', 'harder' => 'harder', 'stop' => 'stop', 'why' => 'why', 'dose' => 'dose_words']),
            $doneOn,
            $node->get('fits')->enums(ClientCondition::class),
            $this->cautions($node, $together),
            array_map(MuscleLoad::fromText(...), $node->get('loads')->strings()),
            $node->get('lengthens')->strings(),
            $node->get('class')->enum(EffortClass::class),
            $node->get('intensity')->int(1, 5),
            $node->get('segment')->enum(Segment::class),
            $node->get('role')->enum(SittingRole::class),
            $node->get('posture')->enum(Posture::class),
            $start = $this->dose($node->get('dose')),
            $this->range($node->get('range'), $start),
            $together ? $entry->speakingOf(SidePrefix::Both) : $entry,
            null === $ends ? null : self::onAnyHand(CatalogueReader::condition($this->conditions, $ends), $together),
            array_map($this->progress(...), $node->get('progress')->items()),
            $this->picture($node->get('picture')),
            $node->optional('firm_wrist')?->bool() ?? false,
            $node->optional('needs_before')?->enum(SittingNeed::class),
        );
    }

    /** @return list<Caution> */
    private function cautions(Node $node, bool $together): array
    {
        $cautions = [];
        foreach ($node->get('avoid_when')->items() as $item) {
            $item->only('phrase', 'while');
            $while = $item->optional('while');
            $condition = null === $while ? null : CatalogueReader::condition($this->conditions, $while);
            $cautions[] = new Caution($item->get('phrase')->string(), null === $condition ? null : self::onAnyHand($condition, $together));
        }
        foreach ($node->get('gates')->items() as $item) {
            $gate = $this->gates[$item->string()] ?? throw $item->fail('no gate of this name in vocabulary.yaml');
            $cautions[] = new Caution($gate->phrase, null === $gate->blocksWhile ? null : self::onAnyHand($gate->blocksWhile, $together));
        }

        return $cautions;
    }

    /** What bars one hand bars an item that both do together. */
    private static function onAnyHand(Condition $condition, bool $together): Condition
    {
        return $together ? new AnyOf([$condition, $condition->speakingOf(SidePrefix::Other)]) : $condition;
    }

    private function dose(Node $node): Dose
    {
        $node->only('sets', 'repetitions', 'parts', 'move', 'hold', 'rest', 'load');
        try {
            return Dose::of(
                $node->get('sets')->int(),
                $node->get('repetitions')->int(),
                $node->get('parts')->int(),
                $node->get('move')->int(),
                $node->get('hold')->int(),
                $node->get('rest')->int(),
                $node->optional('load')?->float() ?? 0.0,
            );
        } catch (InvalidDose $e) {
            throw $node->fail($e->getMessage());
        }
    }

    private function range(Node $node, Dose $start): DoseRange
    {
        $node->only('sets', 'repetitions', 'move', 'hold', 'load');
        $range = new DoseRange(
            self::limits($node->get('sets')),
            self::limits($node->get('repetitions')),
            self::limits($node->get('move')),
            self::limits($node->get('hold')),
            null === ($load = $node->optional('load')) ? [0.0, 0.0] : [$load->items()[0]->float(), $load->items()[1]->float()],
        );
        try {
            $range->check($start, 'this rung');
        } catch (InvalidDose $e) {
            throw $node->fail('the start dose lies outside: '.$e->getMessage());
        }

        return $range;
    }

    /** @return array{int, int} */
    private static function limits(Node $node): array
    {
        $items = $node->items();
        if (2 !== \count($items) || $items[0]->int() > $items[1]->int()) {
            throw $node->fail('expected the least and the most');
        }

        return [$items[0]->int(), $items[1]->int()];
    }

    private function progress(Node $node): ProgressSpec
    {
        $node->only('rule', 'start', 'step', 'cap', 'days', 'steps', 'reps');
        $kind = $node->get('rule')->enum(ProgressKind::class);
        $steps = $node->optional('steps')?->floats() ?? [];

        return new ProgressSpec(
            $kind,
            (int) ($node->optional('start')?->float() ?? $steps[0] ?? 0),
            $node->optional('step')?->int(1) ?? 1,
            $node->optional('cap')?->int(1) ?? (int) ([] === $steps ? 0 : max($steps)),
            $node->optional('days')?->int(1, 7) ?? 2,
            $steps,
            $node->optional('reps')?->int(1) ?? 0,
        );
    }

    private function picture(Node $node): Picture
    {
        $node->only('start', 'end', 'view', 'trace', 'thing', 'other', 'table', 'zones', 'focus');

        return new Picture(
            $node->get('start')->string(),
            $node->get('end')->string(),
            $node->get('view')->string(),
            $node->get('trace')->string(),
            $node->optional('thing')?->string(),
            $node->optional('other')?->string(),
            $node->optional('table')?->string(),
            $node->optional('zones')?->string(),
            $node->optional('focus')?->string(),
        );
    }
}
