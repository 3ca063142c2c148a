<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Cue\Beat;
use HandGarden\Core\Cue\Calls;
use HandGarden\Core\Cue\Counted;
use HandGarden\Core\Cue\CountPlan;
use HandGarden\Core\Cue\Cue;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Cue\Flow;
use HandGarden\Core\Cue\Gaze;
use HandGarden\Core\Cue\Legs;
use HandGarden\Core\Cue\UnitOrder;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Cue\WalkKind;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads how a rung is walked, and holds it against the dose that it fills. */
final readonly class WalkReader
{
    /** @param array<string, string> $stops lines that several rungs name, by key */
    public function __construct(
        private array $stops,
    ) {
    }

    /**
     * @param ?Node $node null: an exercise that says no more than its dose
     *
     * @throws InvalidData naming the path
     */
    public function walk(?Node $node, Dose $dose, string $stop): Walk
    {
        if (null === $node) {
            return Walk::plain($dose->moveSeconds, $dose->holdSeconds > 0, $stop);
        }
        $node->only(
            'kind',
            'over',
            'order',
            'alternates',
            'other_hand',
            'beat',
            'calls',
            'minutes',
            'cues',
            'count',
            'flow',
            'quiet',
            'danger',
            'later',
            'legs',
            'looks',
        );
        $kind = $node->get('kind')->enum(WalkKind::class);
        $cues = array_map(self::cue(...), $node->get('cues')->items());
        $minutes = $node->optional('minutes')?->items();
        $walk = new Walk(
            $kind,
            self::units($node->optional('over'), $kind),
            $node->optional('order')?->enum(UnitOrder::class),
            null !== $node->optional('alternates'),
            otherHand: self::units($node->optional('other_hand'), $kind),
            beat: self::beat($node->optional('beat')),
            calls: self::calls($node->optional('calls')),
            minutes: null === $minutes ? null : [$minutes[0]->int(1), $minutes[1]->int(1)],
            cues: [] === $cues ? throw $node->get('cues')->fail('a walk has one cue or more') : $cues,
            count: self::count($node->get('count')),
            flow: $node->optional('flow')?->enum(Flow::class) ?? Flow::Log,
            danger: $this->danger($node->get('danger')),
            isQuiet: $node->optional('quiet')?->bool() ?? false,
            laterSeconds: $node->optional('later')?->int(1, 600) ?? 0,
            legs: self::legs($node->optional('legs')),
            looks: $node->optional('looks')?->enum(Gaze::class) ?? Gaze::Screen,
        );
        self::check($walk, $dose, $node);

        return $walk;
    }

    /** @throws InvalidData when it would take another time than the dose says */
    private static function check(Walk $walk, Dose $dose, Node $node): void
    {
        if (abs($walk->moveSeconds() - $dose->moveSeconds) > 0.01) {
            throw $node->get('cues')->fail(
                \sprintf('take %s s, and the dose moves for %d', $walk->moveSeconds(), $dose->moveSeconds),
            );
        }
        if (abs($walk->holdShare() - ($dose->holdSeconds > 0 ? 1.0 : 0.0)) > 0.01) {
            throw $node->get('cues')->fail('hold where the dose does not, or do not where it does');
        }
        $isOneAtATime = null !== $dose->levels->at(Challenge::Finger);
        if ($walk->kind->countsParts() && !$isOneAtATime && \count($walk->units) !== $dose->parts) {
            throw $node->get('over')->fail(
                \sprintf('%d units, and the dose has %d parts', \count($walk->units), $dose->parts),
            );
        }
        if (null === $walk->order && $dose->parts > 1) {
            throw $node->fail('says no order of its units');
        }
    }

    private static function cue(Node $node): Cue
    {
        $node->only('cue', 'seconds', 'of_hold', 'say');
        $kind = $node->get('cue')->enum(CueKind::class);
        if (CueKind::Hold !== $kind) {
            return new Cue(
                $kind,
                $node->get('seconds')->float(0.5, 1200.0),
                0.0,
                $node->get('say')->string(),
            );
        }
        $half = $node->optional('of_hold');
        if (null !== $half && 'half' !== $half->string()) {
            throw $half->fail('expected half');
        }

        return new Cue(
            $kind,
            0.0,
            null === $half ? 1.0 : 0.5,
            $node->get('say')->string(),
        );
    }

    /** @return list<string> */
    private static function units(?Node $node, WalkKind $kind): array
    {
        foreach ($node?->items() ?? [] as $unit) {
            $is = match ($kind) {
                WalkKind::Digits, WalkKind::Pairs => null !== Digit::tryFrom($unit->string()),
                WalkKind::Gaps => \in_array(
                    $unit->string(),
                    ['index-middle', 'middle-ring', 'ring-little'],
                    true,
                ),
                WalkKind::Joints => self::isJoint($unit->string()),
                default => true,
            };
            if (!$is) {
                throw $unit->fail('no unit of a walk over '.$kind->value);
            }
        }

        return $node?->strings() ?? [];
    }

    private static function isJoint(string $unit): bool
    {
        [$digit, $joint] = explode('.', $unit.'.');

        return isset(Digit::tryFrom($digit)?->hinges()[(int) $joint - 1]);
    }

    private static function legs(?Node $node): Legs
    {
        if (null === $node) {
            return new Legs();
        }
        $node->only('with', 'sets');
        $with = array_map(
            static fn (Node $words): string => $words->string(),
            $node->optional('with')?->map() ?? [],
        );

        return new Legs($with, $node->optional('sets')?->strings() ?? []);
    }

    private static function beat(?Node $node): ?Beat
    {
        $node?->only('start', 'step', 'cap', 'each');

        return null === $node ? null : new Beat(
            $node->get('start')->int(20, 200),
            $node->get('step')->int(1, 50),
            $node->get('cap')->int(20, 200),
            $node->optional('each')?->int(1, 8) ?? 1,
        );
    }

    private static function calls(?Node $node): ?Calls
    {
        $node?->only('from', 'to', 'number', 'interval');

        return null === $node ? null : new Calls(
            $node->get('from')->int(1, 9),
            $node->get('to')->int(1, 9),
            $node->get('number')->int(1, 60),
            $node->get('interval')->float(0.5, 20.0),
        );
    }

    private static function count(Node $node): CountPlan
    {
        $node->only('button', 'needed', 'also');

        return new CountPlan(
            $node->optional('button')?->enum(Counted::class),
            $node->optional('needed')?->enums(Counted::class) ?? [],
            $node->optional('also')?->enums(Counted::class) ?? [],
        );
    }

    private function danger(Node $node): string
    {
        $text = $node->string();

        return 1 === preg_match('/^stop-\d+$/', $text)
            ? $this->stops[$text] ?? throw $node->fail('no line of this name in stops.yaml')
            : $text;
    }
}
