<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Catalogue\AmountRange;
use HandGarden\Core\Catalogue\AmountUnit;
use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Condition as ClientCondition;
use HandGarden\Core\Catalogue\Contact;
use HandGarden\Core\Catalogue\Demands;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseKind;
use HandGarden\Core\Catalogue\DosePlan;
use HandGarden\Core\Catalogue\DoseRange;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Fit;
use HandGarden\Core\Catalogue\FoldedPicture;
use HandGarden\Core\Catalogue\Handbook;
use HandGarden\Core\Catalogue\InSitting;
use HandGarden\Core\Catalogue\Instructions;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\LadderPart;
use HandGarden\Core\Catalogue\Load;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Posture;
use HandGarden\Core\Catalogue\ProgressSpec;
use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Catalogue\Works;
use HandGarden\Core\Condition\AnyOf;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Condition\FactCode;
use HandGarden\Core\Condition\SidePrefix;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads one ladder file. */
final readonly class LadderReader
{
    /** How `needs_before` named an exercise, in files handed out before it named what that does. */
    private const FORMER_NEEDS = [
        'wrist-ease-back' => SittingNeed::WristEasedBack,
        'web-wedge-stretch' => SittingNeed::WebsOpened,
    ];

    private WalkReader $walks;

    private BarReader $bars;

    /**
     * @param array<string, Caution> $gates
     */
    public function __construct(
        private ConditionParser $conditions,
        private array $gates,
        private Handbook $handbook,
    ) {
        $this->walks = new WalkReader($handbook->stops);
        $this->bars = new BarReader(
            $conditions,
            Node::root($handbook->bars, 'bars.yaml.bars'),
        );
    }

    /** For exercises that come later than the files and are held to the same rules. */
    public static function from(Catalogue $catalogue): self
    {
        return new self(
            new ConditionParser($catalogue->vocabulary->codes()),
            $catalogue->vocabulary->gates,
            $catalogue->handbook(),
        );
    }

    public function read(Node $node): Ladder
    {
        $node->only(
            'key',
            'strand',
            'name',
            'kind',
            'entry',
            'move_up',
            'ease_down',
            'instead_below',
            'rounds',
            'rungs',
            'parts',
            'lets_go',
        );
        $parts = $node->optional('parts')?->enums(LadderPart::class) ?? [];
        $rungs = $this->rungs(
            $node->get('rungs'),
            \in_array(LadderPart::CarriedArm, $parts, true),
        );

        return new Ladder(
            $node->get('key')->string(),
            $node->get('strand')->enum(Strand::class),
            $node->get('name')->string(),
            $node->get('kind')->enum(LadderKind::class),
            entryWords: $node->get('entry')->string(),
            moveUpWords: $node->get('move_up')->string(),
            easeWords: $node->get('ease_down')->string(),
            insteadBelow: $node->optional('instead_below')?->string(),
            rounds: $node->optional('rounds')?->int(1, 5) ?? 1,
            rungs: $rungs,
            parts: $parts,
            letsGo: $node->optional('lets_go')?->int(1, 9),
        );
    }

    /** @return non-empty-list<Rung> */
    private function rungs(Node $node, bool $isCarried): array
    {
        $rungs = array_map(
            fn (Node $rung): Rung => $this->rung($rung, $isCarried),
            $node->items(),
        );

        return [] === $rungs ? throw $node->fail('a ladder has one rung or more') : $rungs;
    }

    /** @throws InvalidData naming the path */
    public function rung(Node $node, bool $isCarried): Rung
    {
        $node->only(
            'id',
            'name',
            'performers',
            'position',
            'posture',
            'materials',
            'steps',
            'side',
            'counted',
            'dose_words',
            'watch_for',
            'ease',
            'harder',
            'links',
            'stop',
            'why',
            'fits',
            'avoid_when',
            'gates',
            'tags',
            'moves',
            'loads',
            'lengthens',
            'works',
            'asks',
            'contact',
            'purpose',
            'class',
            'intensity',
            'segment',
            'role',
            'when',
            'ends_while',
            'settled_when',
            'firm_wrist',
            'needs_before',
            'parts',
            'dose',
            'range',
            'hold_limit',
            'amount',
            'progress',
            'walk',
            'picture',
        );
        $doneOn = $node->get('side')->enum(DoneOn::class);
        $together = DoneOn::BothTogether === $doneOn && !$isCarried;
        $segment = $node->get('segment')->enum(Segment::class);
        $entry = CatalogueReader::condition(
            $this->conditions,
            $node->get('when'),
        );
        $ends = $node->optional('ends_while');
        $demands = self::demands($node, $segment);
        $steps = $node->get('steps')->strings();
        if ([] === $steps) {
            throw $node->get('steps')->fail('an exercise has one step or more');
        }

        return new Rung(
            $node->get('id')->string(),
            $node->get('name')->string(),
            self::instructions($node, $steps),
            new Fit(
                $node->get('performers')->enums(Performer::class),
                $this->materials($node->get('materials')),
                $doneOn,
                $node->get('fits')->enums(ClientCondition::class),
                cautions: $this->cautions($node, $together, $segment),
                entry: $together ? $entry->speakingOf(SidePrefix::Both) : $entry,
                endsWhile: null === $ends
                    ? null
                    : self::onAnyHand(
                        CatalogueReader::condition($this->conditions, $ends),
                        $together,
                    ),
                bars: $this->bars($demands, $node, $together),
                settledWhen: $this->settledWhen(
                    $node->optional('settled_when'),
                    $together,
                ),
            ),
            load: self::load($node, $segment),
            dosing: $dosing = $this->dosing($node),
            walk: $this->walks->walk(
                $node->optional('walk'),
                $dosing->start,
                $node->get('stop')->string(),
            ),
            demands: $demands,
            sitting: self::inSitting($node),
            folded: new FoldedPicture(PictureReader::read($node->get('picture'))),
            easier: self::links($node, 'easier'),
            harder: self::links($node, 'harder'),
        );
    }

    /** `none` says that no number can tell. */
    private function settledWhen(?Node $node, bool $together): ?Condition
    {
        if (null === $node || 'none' === $node->raw()) {
            return null;
        }
        $condition = CatalogueReader::condition($this->conditions, $node);

        return $together ? $condition->speakingOf(SidePrefix::Both) : $condition;
    }

    /** @param non-empty-list<string> $steps */
    private static function instructions(Node $node, array $steps): Instructions
    {
        return new Instructions(
            $node->get('position')->string(),
            $steps,
            $node->get('watch_for')->string(),
            $node->get('ease')->string(),
            harder: $node->get('harder')->string(),
            stop: $node->get('stop')->string(),
            why: $node->get('why')->string(),
            dose: $node->get('dose_words')->string(),
            moves: $node->get('moves')->string(),
        );
    }

    private static function load(Node $node, Segment $segment): Load
    {
        return new Load(
            array_map(self::muscle(...), $node->get('loads')->items()),
            array_map(
                static fn (Node $group): string => self::muscle($group)->group,
                $node->get('lengthens')->items(),
            ),
            $node->get('class')->enum(EffortClass::class),
            $node->get('intensity')->int(1, 5),
            segment: $segment,
            wantsFirmWrist: $node->optional('firm_wrist')?->bool() ?? false,
        );
    }

    /** What is not said is taken from the part it works on first: an exercise of a clinic need not know the list. */
    private static function demands(Node $node, Segment $segment): Demands
    {
        $works = $node->optional('works')?->only(...array_column(WorkKind::cases(), 'value'));
        $parts = [];
        foreach (WorkKind::cases() as $kind) {
            $parts[$kind->value] = $works?->optional($kind->value)?->enums(ArmPart::class) ?? [];
        }
        $first = ArmPart::tryFrom($segment->value);
        if (null === $works && null !== $first) {
            $parts = array_fill_keys(array_keys($parts), [$first]);
        }

        return new Demands(
            new Works($parts),
            $node->optional('asks')?->enums(Asks::class) ?? [],
            $node->optional('contact')?->enums(Contact::class) ?? [],
            $node->optional('purpose')?->enum(Purpose::class) ?? Purpose::Other,
        );
    }

    /** @return list<Caution> */
    private function bars(Demands $demands, Node $node, bool $together): array
    {
        return array_map(
            static fn (Caution $bar): Caution => null !== $bar->blocksWhile && $together
                ? $bar->while(self::onAnyHand($bar->blocksWhile, true))
                : $bar,
            $this->bars->of($demands, $node),
        );
    }

    private static function muscle(Node $node): MuscleLoad
    {
        $load = MuscleLoad::fromText($node->string());

        return MuscleLoad::isGroup($load->group)
            ? $load
            : throw $node->fail('no group of muscles of this name: '.$load->group);
    }

    private static function inSitting(Node $node): InSitting
    {
        return new InSitting(
            $node->get('role')->enum(SittingRole::class),
            $node->get('posture')->enum(Posture::class),
            self::need($node->optional('needs_before')),
            $node->optional('parts')?->enums(RungPart::class) ?? [],
            tags: $node->optional('tags')?->enums(ApproachTag::class) ?? [],
        );
    }

    private static function need(?Node $node): ?SittingNeed
    {
        return null === $node ? null : self::FORMER_NEEDS[$node->string()] ?? $node->enum(
            SittingNeed::class,
        );
    }

    /** @return list<string> */
    private static function links(Node $node, string $way): array
    {
        $links = $node->optional('links')?->only('easier', 'harder');

        return $links?->optional($way)?->strings() ?? [];
    }

    /** @return list<string> */
    private function materials(Node $node): array
    {
        foreach ($node->items() as $item) {
            if (!isset($this->handbook->materials[$item->string()])) {
                throw $item->fail('no material of this name in materials.yaml');
            }
        }

        return $node->strings();
    }

    /** @return list<Caution> */
    private function cautions(Node $node, bool $together, Segment $segment): array
    {
        $cautions = [];
        foreach ($node->get('avoid_when')->items() as $item) {
            $caution = $this->caution($item, $segment);
            $cautions[] = self::forHands($caution, $together);
        }
        foreach ($node->get('gates')->items() as $item) {
            $gate = $this->gates[$item->string()]
                ?? throw $item->fail('no gate of this name in vocabulary.yaml');
            $cautions[] = self::forHands($gate, $together);
        }

        return $cautions;
    }

    /** A caution by its key; `segment` in its condition is the part that the rung works on. */
    private function caution(Node $item, Segment $segment): Caution
    {
        $key = $item->string();
        $named = Node::root(
            $this->handbook->cautions[$key]
                ?? throw $item->fail('no caution of this name in cautions.yaml'),
            'cautions.yaml.'.$key,
        )->only('phrase', 'while', 'in_sitting', 'by_note');
        $while = $named->optional('while');
        if (null !== $while && str_contains($while->string(), '(segment)')) {
            if (\in_array($segment, [Segment::None, Segment::Shoulder], true)) {
                throw $item->fail('speaks of a part of the hand, and this rung works on none');
            }
            $while = Node::root(
                str_replace(
                    '(segment)',
                    '('.$segment->value.')',
                    $while->string(),
                ),
                $while->path,
            );
        }

        return new Caution(
            $named->get('phrase')->string(),
            null === $while ? null : CatalogueReader::condition(
                $this->conditions,
                $while,
            ),
            $item->string(),
            $named->optional('by_note')?->bool() ?? false,
        );
    }

    private static function forHands(Caution $caution, bool $together): Caution
    {
        return null === $caution->blocksWhile
            ? $caution
            : $caution->while(self::onAnyHand($caution->blocksWhile, $together));
    }

    /** What bars one hand bars an item that both do together. */
    private static function onAnyHand(Condition $condition, bool $together): Condition
    {
        return $together
            ? new AnyOf([$condition, $condition->speakingOf(SidePrefix::Other)])
            : $condition;
    }

    private function dosing(Node $node): DosePlan
    {
        $progress = array_map(
            ProgressReader::read(...),
            $node->get('progress')->items(),
        );
        $start = self::begun(self::dose($node->get('dose')), $progress);
        $range = $node->get('range')->only(
            'passes',
            'repetitions',
            'hold',
            'load',
            'sets',
            'move',
        );
        $plan = new DosePlan(
            $start,
            self::range($range, $start),
            self::amounts(
                $node->optional('amount'),
                $range->optional('sets'),
            ),
            $node->get('counted')->enum(DoseKind::class),
            progress: $progress,
            holdLimit: $this->holdLimit($node->optional('hold_limit')),
        );
        try {
            $plan->check($start, 'this rung');
        } catch (InvalidDose $e) {
            throw $range->fail('the start dose lies outside: '.$e->getMessage());
        }

        return $plan;
    }

    /**
     * With the first level of all that makes it harder.
     *
     * @param list<ProgressSpec> $progress
     */
    private static function begun(Dose $dose, array $progress): Dose
    {
        foreach ($progress as $spec) {
            $challenge = $spec->kind->challenge();
            $dose = null === $challenge
                ? $dose
                : $dose->at(
                    $challenge,
                    $spec->levels[0],
                );
        }

        return $dose;
    }

    private function holdLimit(?Node $node): ?FactCode
    {
        if (null === $node) {
            return null;
        }

        if (1 !== preg_match('/^(\w+)(?:\((\w+)\))?$/', $node->string(), $named)) {
            throw $node->fail('expected a measure such as grip_hold_s(all)');
        }
        CatalogueReader::condition(
            $this->conditions,
            Node::root($node->string().'>=0', $node->path),
        );

        return new FactCode($named[1], $named[2] ?? null);
    }

    private static function dose(Node $node): Dose
    {
        $node->only(
            'sets',
            'passes',
            'repetitions',
            'parts',
            'move',
            'hold',
            'rest',
            'between',
            'tail',
            'load',
        );
        try {
            return Dose::from(
                $node->get('sets')->int(),
                $node->get('repetitions')->int(),
                $node->get('parts')->int(),
                $node->get('move')->int(),
                holdSeconds: $node->get('hold')->int(),
                restSeconds: $node->get('rest')->int(),
                loadKilograms: $node->optional('load')?->float() ?? 0.0,
                passes: $node->optional('passes')?->int() ?? 1,
                betweenSeconds: $node->optional('between')?->int() ?? 0,
                tailSeconds: $node->optional('tail')?->int() ?? 0,
            );
        } catch (InvalidDose $e) {
            throw $node->fail($e->getMessage());
        }
    }

    private static function range(Node $node, Dose $start): DoseRange
    {
        $load = $node->optional('load')?->floats() ?? [0.0, 0.0];
        $passes = $node->optional('passes');

        return new DoseRange(
            self::limits($node->get('repetitions')),
            self::limits($node->get('hold')),
            2 === \count($load) ? [$load[0], $load[1]] : throw $node->fail(
                'expected the least and the most load',
            ),
            null === $passes ? [$start->passes, $start->passes] : self::limits($passes),
        );
    }

    /** @param ?Node $sets how files said it that were handed out before amounts stood on their own */
    private static function amounts(?Node $node, ?Node $sets): AmountRange
    {
        if (null === $node) {
            [$least, $most] = null === $sets ? [1, 1] : self::limits($sets);

            return new AmountRange(AmountUnit::Sets, $least, $most);
        }
        $node->only('sets', 'time', 'by');
        $time = $node->optional('time');
        if (null !== $time) {
            [$least, $most] = self::limits($time);

            return new AmountRange(
                AmountUnit::HalfTimes,
                2 * $least,
                2 * $most,
            );
        }
        [$least, $most] = self::limits($node->get('sets'));

        return new AmountRange(
            AmountUnit::Sets,
            $least,
            $most,
            $node->optional('by')?->int(1, 9) ?? 1,
        );
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
}
