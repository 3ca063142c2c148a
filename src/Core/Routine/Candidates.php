<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\Approaches;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\DailyTask;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\LadderPart;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Catalogue\TaskPart;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Routine\Rule\StretchedBefore;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** What may come into a sitting, all of it, in the order of a sitting: warm-up, the strands by rank, closing. */
final class Candidates
{
    private const MOST_VARIETY_DAYS = 5;
    /** Percent of what the first set brings. */
    private const FOCUS_SHARES = [80, 60, 40, 25];
    private const SHARES = [40, 20];

    private readonly KnownFacts $known;

    private readonly Approaches $approaches;

    private readonly Allowed $allowed;

    private readonly Objective $objective;

    private readonly Priorities $priorities;

    /** @var ?list<Item> what prepares, once it is asked for */
    private ?array $preparing = null;

    private ?StretchedBefore $before = null;

    /** @var list<array{LadderPlacement, Priority}> */
    private readonly array $mostImportant;

    /** @var array<string, true> the few ladders that matter most, by key and side */
    private readonly array $focus;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Brief $brief,
    ) {
        $this->known = new KnownFacts($brief->facts, $catalogue->vocabulary, $brief->today);
        $this->approaches = new Approaches($brief->facts, $this->known);
        $this->objective = new Objective($catalogue, $brief->goals, $brief->weights);
        $this->priorities = new Priorities($catalogue, $brief->goals, $this->known);
        $this->allowed = new Allowed(
            $catalogue,
            $brief,
            $this->known,
            $this->approaches,
            objective: $this->objective,
        );
        $this->mostImportant = $this->priorities->focus(
            $brief->placements,
            $brief->facts->people->affected,
            $brief->limits->minutes,
            $brief->focusFirst,
            mayCome: $this->mayCome(...),
        );
        $this->focus = array_fill_keys(
            array_map(
                static fn (array $f): string => self::keyOf($f[0]),
                $this->mostImportant,
            ),
            true,
        );
    }

    /**
     * Whether something of a ladder may be given, and what has to come before it as well; what takes more than half of
     * a sitting leaves no room for what else matters.
     */
    private function mayCome(LadderPlacement $placed): bool
    {
        foreach ($placed->offered() as $rung) {
            $item = $this->allowed->item($rung, $placed, null, 0);
            if (
                null !== $item
                && 2 * $item->seconds() <= $this->brief->limits->seconds()
                && $this->isPrepared($item)
            ) {
                return true;
            }
        }

        return false;
    }

    private function isPrepared(Item $item): bool
    {
        if (null === $item->rung->sitting->need) {
            return true;
        }
        $this->preparing ??= $this->preparing();
        $this->before ??= new StretchedBefore(
            HandsAtWork::from($this->catalogue, $this->known, $this->brief->facts),
        );
        foreach ($this->before->needs($item) as $need) {
            if ([] === array_filter($this->preparing, $need->isMetBy(...))) {
                return false;
            }
        }

        return true;
    }

    /** @return list<Item> that lengthen, open or gently move something */
    private function preparing(): array
    {
        $items = [];
        foreach ($this->brief->placements->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                $may = [] !== $rung->load->lengthens
                    || [] !== $rung->sitting->parts
                    || !$rung->load->class->needsPreparation();
                $items[] = $may ? $this->allowed->item($rung, $placed, null, 0) : null;
            }
        }

        return array_values(array_filter($items));
    }

    /** @return list<array{LadderPlacement, Priority}> the few that matter most, of which something may come in */
    public function focus(): array
    {
        return $this->mostImportant;
    }

    /** @return list<OptionGroup> in the order of a sitting */
    public function groups(): array
    {
        $first = $middle = $last = [];
        foreach ($this->brief->placements->ladders as $placed) {
            if (
                LadderKind::Protocol === $placed->ladder->kind
                || [] === $placed->offered()
                || $this->isCarriedForNothing($placed)
            ) {
                continue;
            }
            if (LadderKind::Menu !== $placed->ladder->kind) {
                $middle[] = $this->ofLadder($placed);
                continue;
            }
            foreach ($placed->offered() as $rung) {
                if (
                    $rung->plays(RungPart::CarriesTask)
                    || \in_array(
                        $rung->sitting->role,
                        [SittingRole::LeadIn, SittingRole::Pause],
                        true,
                    )
                ) {
                    continue; // they come with another item, or with a task
                }
                $item = $this->single($rung, $placed);
                $group = null === $item ? null : OptionGroup::from($item);
                match ($rung->sitting->role) {
                    SittingRole::WarmUp => $first[] = $group,
                    SittingRole::CoolDown => $last[] = $group,
                    default => $middle[] = $group,
                };
            }
        }
        $groups = array_values(
            array_filter(
                [...$this->frame($first), ...$middle, $this->task(), ...$this->frame($last)],
                static fn (?OptionGroup $g): bool => null !== $g,
            ),
        );

        return (new Pins($this->catalogue, $this->allowed->stillPinned()))->bind($groups);
    }

    /** The most wanted task at the part that may be given, just before the end; what is missing for it is said. */
    private function task(): ?OptionGroup
    {
        $today = (new TaskChoice($this->catalogue, $this->brief->facts, $this->known))->of(
            $this->brief->goals,
        );
        if (null === $today) {
            return null;
        }
        if (null === $today->part) {
            $this->allowed->refuse($today->task->label, new Phrase('left_out.task', [
                'missing' => Joint::Comma->joining(
                    array_map($this->catalogue->vocabulary->label(...), $today->missing),
                ),
            ]));

            return null;
        }
        foreach ($this->brief->placements->ladders as $placed) {
            foreach ($placed->side === $today->side ? $placed->offered() : [] as $rung) {
                if ($rung->plays(RungPart::CarriesTask)) {
                    return $this->taskAt($rung, $placed, $today->task, $today->part);
                }
            }
        }

        return null;
    }

    private function taskAt(
        Rung $rung,
        LadderPlacement $placed,
        DailyTask $task,
        TaskPart $part,
    ): ?OptionGroup {
        $worth = 10 * $this->brief->weights->realTask; // hardly anything may stand in its place
        $item = $this->allowed->item(
            $rung,
            $placed,
            new Phrase('reason.leads_to_task', ['goal' => $task->label]),
            $worth,
        );

        return null === $item ? null : OptionGroup::from(
            $this->growing($item, $placed, $this->brief->weights->realTask)->varied(
                new Phrase('variant.task', [
                    'key' => $task->key,
                    'part' => $part->id,
                    'task' => $task->label,
                    'words' => $part->words,
                    'watch' => $part->watchFor,
                ]),
            ),
        );
    }

    /**
     * What stands in comes in where nothing else can begin or end the sitting, or it is a short one.
     *
     * @param list<?OptionGroup> $groups
     *
     * @return list<OptionGroup>
     */
    private function frame(array $groups): array
    {
        $groups = array_values(array_filter($groups));
        $others = array_values(array_filter(
            $groups,
            static fn (OptionGroup $g): bool => !$g->options[0]->items[0]->rung->plays(RungPart::StandsIn),
        ));

        return [] === $others || $this->brief->limits->minutes <= Limits::SHORT_MINUTES ? $groups : $others;
    }

    /** @return list<LeftOut> what material, performer, approach or the therapist keeps out; filled by groups() */
    public function refused(): array
    {
        return $this->allowed->refused();
    }

    public function known(): KnownFacts
    {
        return $this->known;
    }

    /** The sound arm carries the weak one only while that does not lift alone. */
    private function isCarriedForNothing(LadderPlacement $placed): bool
    {
        return $placed->ladder->plays(LadderPart::WhileArmIsWeak)
            && true === $this->known->value('arm_lifts_alone', null, $placed->side);
    }

    private function single(Rung $rung, LadderPlacement $placed): ?Item
    {
        $weights = $this->brief->weights;
        $main = SittingRole::Main === $rung->sitting->role;
        $worth = match ($rung->sitting->role) {
            SittingRole::WarmUp, SittingRole::CoolDown => $weights->frame,
            SittingRole::Preparation => $this->ofPreparation($rung, $placed),
            default => $this->worth($placed, $rung),
        };
        $item = $this->allowed->item(
            $rung,
            $placed,
            $main ? $this->reason($placed) : null,
            $worth,
        );
        if (null === $item) {
            return null;
        }
        $item = $this->growing($item, $placed, $worth - $this->focusBonus($placed));

        return $main ? $item : $this->lessWhenRecent($item);
    }

    /** What lengthens or mobilizes matters by itself where it meets what limits the hand. */
    private function ofPreparation(Rung $rung, LadderPlacement $placed): int
    {
        $weights = $this->brief->weights;
        $priority = $this->priorityOf($rung, $placed);

        return $weights->preparation
            + $weights->impairment * $priority->impairment
            + $weights->goal * $priority->goal
            + ($priority->impairment > 0 ? $this->focusBonus($placed) : 0);
    }

    /** An exercise of a menu shares what its ladder weighs, and keeps what it weighs by itself. */
    private function priorityOf(Rung $rung, LadderPlacement $placed): Priority
    {
        $own = $this->priorities->ofRung($rung, $placed->ladder, $placed->side);
        $ofLadder = $this->priorities->ofLadder($placed->ladder, $placed->side);
        if (LadderKind::Menu !== $placed->ladder->kind || $own->impairment > $ofLadder->impairment) {
            return $own;
        }

        return $own->amongst(\count($placed->offered()));
    }

    /** For the first set alone: that each of the ladders that matter most comes in at all. */
    private function focusBonus(LadderPlacement $placed): int
    {
        return isset($this->focus[self::keyOf($placed)]) ? $this->brief->weights->focus : 0;
    }

    /** Each further step of an amount brings less: of what matters most the first few bring much of it. */
    private function growing(Item $item, LadderPlacement $placed, int $worth): Item
    {
        if (null !== $item->kept || !$this->brief->limits->mayGrow) {
            return $item;
        }
        $shares = isset($this->focus[self::keyOf($placed)]) ? self::FOCUS_SHARES : self::SHARES;

        return $item->growing(
            array_map(
                static fn (int $share): int => intdiv(max(0, $worth) * $share, 100),
                $shares,
            ),
        );
    }

    private static function keyOf(LadderPlacement $placed): string
    {
        return $placed->ladder->key.'|'.$placed->side->value;
    }

    /** A change does good where one item can stand for another; ladders are repeated on purpose. */
    private function lessWhenRecent(Item $item): Item
    {
        return $item->worth(
            $item->worth - $this->brief->weights->variety * min(
                self::MOST_VARIETY_DAYS,
                $this->brief->recentDays[$item->key()] ?? 0,
            ),
        );
    }

    private function ofLadder(LadderPlacement $placed): ?OptionGroup
    {
        $rungs = $placed->offered();
        if ([] === $rungs) {
            return null;
        }
        if (Strand::Grip === $placed->ladder->strand) {
            return $this->gripping($placed, $rungs);
        }
        if (LadderKind::Chain === $placed->ladder->kind) {
            return $this->chain($placed, $rungs);
        }
        $rung = $rungs[array_key_last($rungs)];
        $worth = $this->worth($placed, $rung) + $this->approaches->prefers($rung, $placed->side);
        $item = $this->allowed->item(
            $rung,
            $placed,
            $this->onTricks($placed, $rung, $this->reason($placed)),
            $worth,
        );
        if (null === $item) {
            return null;
        }
        $item = $this->growing($item, $placed, $worth - $this->focusBonus($placed));
        $leadIn = $this->leadIn($placed, $item);

        return new OptionGroup(
            $item->rung->name,
            null === $leadIn
                ? [new Option([$item])]
                : [new Option([$leadIn, $item]), new Option([$item])],
        );
    }

    /**
     * Gripping work is followed directly by letting go; in a tight hand every single grip is.
     *
     * @param non-empty-list<Rung> $rungs
     */
    private function gripping(LadderPlacement $placed, array $rungs): ?OptionGroup
    {
        $one = LadderKind::Chain === $placed->ladder->kind
            ? null
            : $this->allowed->item(
                $rungs[array_key_last($rungs)],
                $placed,
                $this->reason($placed),
                $this->worth($placed),
            );
        $items = match (true) {
            LadderKind::Chain === $placed->ladder->kind => $this->shared($placed, $rungs),
            null === $one => [],
            $this->isTight($placed->side) => [$one],
            default => [$this->growing(
                $one,
                $placed,
                $this->worth($placed) - $this->focusBonus($placed),
            )],
        };
        $options = [];
        $most = $this->isTight($placed->side) ? min(1, \count($items)) : \count($items);
        foreach ($this->releases($placed->side) as $release) {
            for ($length = $most; $length >= 1; --$length) {
                $options[] = new Option([...\array_slice($items, 0, $length), $release]);
            }
        }
        if ([] === $options && [] !== $items) {
            $this->allowed->refuse(
                $placed->ladder->name,
                new Phrase('left_out.no_release'),
            );
        }

        return [] === $options ? null : new OptionGroup($placed->ladder->name, $options);
    }

    /** What is not known counts as tight. */
    private function isTight(Side $side): bool
    {
        $tone = $this->known->value('tone_finger', null, $side);

        return !\is_float($tone) || $tone >= 2.0 || true === $this->known->value('curls', null, $side);
    }

    /** @return list<Item> of opening ladders that cover this hand */
    private function releases(Side $side): array
    {
        $items = [];
        foreach ($this->catalogue->laddersThatLetGo() as $ladder) {
            $opening = $this->brief->placements->find($ladder->key, $side);
            $rung = $opening?->standingRung();
            if (null === $opening || null === $rung) {
                continue;
            }
            // one of a chain is worth its share of it
            $share = LadderKind::Chain === $ladder->kind ? max(
                1,
                \count($opening->offered()),
            ) : 1;
            $worth = intdiv($this->worth($opening), $share);
            $item = $this->allowed->item(
                $rung,
                $opening,
                new Phrase('reason.lets_go'),
                $worth,
            );
            if (null !== $item) {
                $bonus = intdiv($this->focusBonus($opening), $share);
                $items[] = $this->growing($item, $opening, $worth - $bonus);
            }
        }

        return $items;
    }

    /**
     * The items of a chain as one block that shares out what the ladder is worth.
     *
     * @param non-empty-list<Rung> $rungs
     *
     * @return list<Item>
     */
    private function shared(LadderPlacement $placed, array $rungs): array
    {
        $trained = $placed->ladder->isTrained();
        $block = $placed->ladder->key.'|'.$placed->side->value;
        $items = array_values(
            array_filter(
                array_map(
                    fn (Rung $r): ?Item => $this->allowed->item(
                        $r,
                        $placed,
                        $trained ? $this->reason($placed) : null,
                        0,
                        block: $block,
                    ),
                    $rungs,
                ),
            ),
        );
        $bonus = $this->focusBonus($placed);
        $whole = $trained
            ? $this->worth($placed)
            : $this->ofPreparation($rungs[0], $placed)
                + $this->brief->weights->preparation * max(0, \count($items) - 1);
        $count = max(1, \count($items));

        return array_map(
            function (int $i, Item $item) use ($whole, $bonus, $count, $placed): Item {
                $of = static fn (int $all): int => intdiv($all * ($i + 1), $count) - intdiv(
                    $all * $i,
                    $count,
                );

                return $this->growing(
                    $item->worth($item->worth + $of($whole)),
                    $placed,
                    $of(max(0, $whole - $bonus)),
                );
            },
            array_keys($items),
            $items,
        );
    }

    /**
     * A chain whole or cut short from its end. The tight-hand opening runs on into closing and opening, as one block.
     *
     * @param non-empty-list<Rung> $rungs
     */
    private function chain(LadderPlacement $placed, array $rungs): ?OptionGroup
    {
        if (
            \count($rungs) > 1
            && $placed->ladder->plays(LadderPart::TightHandOpening)
            && $this->approaches->follows(Question::Fist, School::B, $placed->side)
        ) {
            [$rungs[0], $rungs[1]] = [$rungs[1], $rungs[0]]; // fingers first
        }
        $items = $this->shared($placed, $rungs);
        if ([] === $items) {
            return null;
        }
        $options = array_map(
            static fn (int $length): Option => new Option(\array_slice($items, 0, $length)),
            range(\count($items), 1),
        );
        $opening = $this->closingOfChain($placed, (string) $items[0]->block);
        if (null !== $opening) {
            array_unshift($options, new Option([...$items, $opening]));
        }

        return new OptionGroup($placed->ladder->name, $options);
    }

    /**
     * The tight-hand opening runs on into closing and opening while the hand is at its loosest, inside the same
     * rounds.
     */
    private function closingOfChain(LadderPlacement $chain, string $block): ?Item
    {
        if (!$chain->ladder->plays(LadderPart::TightHandOpening)) {
            return null;
        }
        foreach ($this->brief->placements->ladders as $placed) {
            $rung = $placed->side === $chain->side ? $placed->standingRung() : null;
            if (null !== $rung && $rung->plays(RungPart::EndsTightOpening)) {
                $worth = $this->worth($placed);
                $item = $this->allowed->item(
                    $rung,
                    $placed,
                    $this->reason($placed),
                    $worth,
                    block: $block,
                );

                return null === $item
                    ? null
                    : $this->growing($item, $placed, $worth - $this->focusBonus($placed));
            }
        }

        return null;
    }

    /** On the first rung of a climb a task may start with a trick movement, or may not: practitioners disagree. */
    private function onTricks(LadderPlacement $placed, Rung $rung, Phrase $reason): Phrase
    {
        $fitting = $placed->ladder->fittingRungs($this->brief->facts->people->conditions);
        if (!$placed->ladder->isTrained() || \count($fitting) < 2 || $fitting[0] !== $rung) {
            return $reason;
        }
        $mayStart = $this->approaches->follows(Question::Tricks, School::A, $placed->side);

        return new Phrase(
            $mayStart ? 'reason.with_tricks' : 'reason.without_tricks',
            ['reason' => $reason],
        );
    }

    private function leadIn(LadderPlacement $placed, Item $item): ?Item
    {
        if (!$item->rung->plays(RungPart::IsWoken)) {
            return null;
        }
        foreach ($this->brief->placements->ladders as $other) {
            foreach ($other->side === $placed->side ? $other->offered() : [] as $rung) {
                if (SittingRole::LeadIn === $rung->sitting->role) {
                    return $this->allowed->item(
                        $rung,
                        $other,
                        new Phrase('reason.wakes'),
                        $this->brief->weights->leadIn,
                    );
                }
            }
        }

        return null;
    }

    private function worth(LadderPlacement $placed, ?Rung $rung = null): int
    {
        $priority = null === $rung
            ? $this->priorities->ofLadder($placed->ladder, $placed->side)
            : $this->priorityOf($rung, $placed);

        return $this->objective->ofLadder(
            $placed->ladder,
            $priority,
            $placed->side === $this->brief->facts->people->affected[0],
        ) + $this->focusBonus($placed);
    }

    private function reason(LadderPlacement $placed): Phrase
    {
        $why = null !== $placed->override
            ? new Phrase('reason.set', ['note' => $placed->override->note])
            : new Phrase('reason.stands', ['ladder' => $placed->ladder->name]);
        $serves = $this->brief->goals->servedBy($placed->ladder->key);

        return [] === $serves
            ? $why
            : new Phrase(
                'reason.leads_to',
                ['reason' => $why, 'goals' => Joint::Comma->joining($serves)],
            );
    }
}
