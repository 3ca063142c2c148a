<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Catalogue\CheckList;
use HandGarden\Core\Catalogue\Observation;
use HandGarden\Core\Catalogue\StrongerEvidence;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Combine;
use HandGarden\Core\Measure\DerivedFact;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\MeasureGroup;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\MeasureKinds;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\NumberFact;
use HandGarden\Core\Measure\TakenAt;
use HandGarden\Core\Measure\ToneGroup;
use HandGarden\Core\Measure\Unit;

/** Reads `measures.yaml`: everything that can be measured or looked at. */
final readonly class MeasureReader
{
    private const OPTIONAL = [
        'step',
        'mode',
        'sided',
        'by_eye',
        'better',
        'combine',
        'trials',
        'at',
        'short_lived',
        'answers',
        'derived',
        'settled_by',
    ];

    /** @param array<string, string> $tasks labels of the daily tasks by key */
    public function __construct(
        private Node $file,
        private array $tasks,
    ) {
    }

    /** @throws InvalidData naming the path */
    public function kinds(): MeasureKinds
    {
        $this->file->only('groups', 'measures', 'lists');
        $kinds = [];
        foreach ($this->file->get('measures')->items() as $node) {
            array_push(
                $kinds,
                ...($node->has('each') ? $this->hinges($node) : [$this->kind($node)]),
            );
        }

        return new MeasureKinds($kinds, array_map(
            static fn (Node $group): MeasureGroup => new MeasureGroup(
                $group->only('key', 'title', 'shown_by')->get('key')->string(),
                $group->get('title')->string(),
                $group->get('shown_by')->string(),
            ),
            $this->file->get('groups')->items(),
        ));
    }

    /** @return list<CheckList> */
    public function lists(): array
    {
        return array_map(
            static fn (Node $list): CheckList => new CheckList(
                $list->only('key', 'title', 'observations')->get('key')->string(),
                $list->get('title')->string(),
                array_map(
                    self::observation(...),
                    $list->get('observations')->items(),
                ),
            ),
            $this->file->get('lists')->items(),
        );
    }

    /** @return list<StrongerEvidence> what settles a fact while nobody has looked */
    public function evidence(ConditionParser $conditions): array
    {
        $evidence = [];
        foreach ($this->settled() as $code => $node) {
            foreach ($node->items() as $settles) {
                $is = $settles->only('if', 'is')->get('is');
                $evidence[] = new StrongerEvidence(
                    CatalogueReader::condition($conditions, $settles->get('if')),
                    $code,
                    \is_bool($is->raw()) ? $is->raw() : $is->float(),
                );
            }
        }

        return $evidence;
    }

    /** @return iterable<string, Node> */
    private function settled(): iterable
    {
        $entries = $this->file->get('measures')->items();
        foreach ($this->file->get('lists')->items() as $list) {
            array_push($entries, ...$list->get('observations')->items());
        }
        foreach ($entries as $entry) {
            if ($entry->has('settled_by')) {
                yield $entry->get('code')->string() => $entry->get('settled_by');
            }
        }
    }

    private function kind(Node $node): MeasureKind
    {
        $node->only('code', 'label', 'group', 'unit', 'range', 'how', 'seconds', ...self::OPTIONAL);
        $code = $node->get('code')->string();
        $at = $node->optional('at')?->only('is', 'of', 'or');
        $taken = $at?->get('is')->enum(TakenAt::class);
        [$min, $max] = self::range($node);

        return new MeasureKind(
            $code,
            $node->get('label')->string(),
            $node->get('unit')->enum(Unit::class),
            $min,
            max: $max,
            howTaken: $node->get('how')->string(),
            secondsToTake: $node->get('seconds')->int(0, 3600),
            hasMode: self::is($node, 'mode'),
            sided: $node->optional('sided')?->bool() ?? true,
            arguments: null === $at ? [] : $this->arguments($at->get('of')),
            step: self::step($node->optional('step')),
            lowerIsBetter: self::says($node, 'better', 'lower'),
            combine: self::says($node, 'combine', 'best') ? Combine::Best : Combine::Mean,
            usualTrials: $node->optional('trials')?->int(1, 9) ?? 1,
            argumentLabels: TakenAt::Task === $taken ? $this->tasks : [],
            group: $node->get('group')->string(),
            takenAt: $taken,
            mayBeTakenAtRest: null !== $at && self::says($at, 'or', 'at rest'),
            isByEye: self::is($node, 'by_eye'),
            isShortLived: self::is($node, 'short_lived'),
            answers: self::answers($code, $node->optional('answers')),
            derived: self::derived($node->optional('derived')),
        );
    }

    /** @return list<MeasureKind> both ends of each joint of each digit */
    private function hinges(Node $node): array
    {
        $node->only('each', 'unit', 'range', 'seconds', 'mode', 'ends');
        [$min, $max] = self::range($node);
        $kinds = [];
        foreach (Digit::cases() as $digit) {
            foreach ($digit->hinges() as $joint) {
                foreach ($node->get('ends')->map() as $name => $end) {
                    $kinds[] = new MeasureKind(
                        implode('_', [$digit->value, $joint->value, $name]),
                        implode(' ', [
                            ucfirst($digit->value),
                            $joint->label(),
                            $end->only('word', 'how', 'better')->get('word')->string(),
                        ]),
                        $node->get('unit')->enum(Unit::class),
                        $min,
                        max: $max,
                        howTaken: $end->get('how')->string(),
                        secondsToTake: $node->get('seconds')->int(0, 3600),
                        hasMode: self::is($node, 'mode'),
                        digit: $digit,
                        joint: $joint,
                        isFlexionEnd: 'flexion' === $name,
                        lowerIsBetter: self::says($end, 'better', 'lower'),
                        group: $digit->value,
                    );
                }
            }
        }

        return $kinds;
    }

    /** @return list<string> */
    private function arguments(Node $of): array
    {
        return match ($of->raw()) {
            'digits' => self::names(Digit::cases()),
            'fingers' => self::names(Digit::fingers()),
            'pairs of digits' => Independence::pairs(),
            'tone groups' => ToneGroup::keys(),
            'daily tasks' => array_keys($this->tasks),
            default => $of->strings(),
        };
    }

    /**
     * @param list<Digit> $digits
     *
     * @return list<string>
     */
    private static function names(array $digits): array
    {
        return array_map(static fn (Digit $d): string => $d->value, $digits);
    }

    /** @return list<NumberFact> */
    private static function answers(string $code, ?Node $node): array
    {
        if (null === $node) {
            return [];
        }
        if (true === $node->raw()) {
            return [new NumberFact($code, $code)];
        }
        $facts = [];
        foreach ($node->map() as $called => $as) {
            $facts[] = new NumberFact(
                $called,
                $code,
                $as->only('mode', 'turned')->get('mode')->enum(Mode::class),
                self::is($as, 'turned') ? -1.0 : 1.0,
            );
        }

        return $facts;
    }

    /** @return list<DerivedFact> */
    private static function derived(?Node $node): array
    {
        $facts = [];
        foreach ($node?->map() ?? [] as $code => $fact) {
            $facts[] = new DerivedFact(
                $code,
                $fact->only('label', 'unit', 'seconds')->get('label')->string(),
                $fact->get('unit')->enum(Unit::class),
                $fact->get('seconds')->int(0, 3600),
            );
        }

        return $facts;
    }

    private static function observation(Node $node): Observation
    {
        $node->only('code', 'ask', 'seconds', 'sided', 'trouble', 'parts', 'short_lived', 'settled_by');

        return new Observation(
            $node->get('code')->string(),
            $node->get('ask')->string(),
            $node->get('seconds')->int(0, 600),
            $node->optional('sided')?->bool() ?? true,
            meansTrouble: self::is($node, 'trouble'),
            parts: $node->optional('parts')?->strings() ?? [],
            isShortLived: self::is($node, 'short_lived'),
        );
    }

    /** @return array{float, float} */
    private static function range(Node $node): array
    {
        $range = $node->get('range')->floats();

        return 2 === \count($range) && $range[0] < $range[1]
            ? [$range[0], $range[1]]
            : throw $node->get('range')->fail('expected the least and the most');
    }

    private static function step(?Node $node): float
    {
        return match (true) {
            null === $node => 1.0,
            'any' === $node->raw() => 0.0,
            default => $node->float(0.0),
        };
    }

    /** Whether the one word that may stand here stands here. */
    private static function says(Node $node, string $key, string $word): bool
    {
        $said = $node->optional($key)?->string();

        return \in_array($said, [null, $word], true)
            ? $word === $said
            : throw $node->get($key)->fail('expected '.$word.', or nothing');
    }

    private static function is(Node $node, string $key): bool
    {
        return $node->optional($key)?->bool() ?? false;
    }
}
