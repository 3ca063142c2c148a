<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\Approaches;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placements;

/**
 * What may come into a sitting, in the order of a sitting: warm-up, preparation, lengthening, wrist, opening, single
 * fingers, thumb, cool-down.
 */
final class Candidates
{
    private const WARM_UP = 6;
    private const PREPARATION = 8;
    private const LEAD_IN = 5;
    private const LADDER = 20;
    private const MOST_PREPARATION = 4;
    private const MOST_BESIDE_THE_GOAL = 2;
    private const MOST_MAIN = 8;
    /** Ladders whose standing rung lets go, best first. */
    private const RELEASE = ['open-3', 'open-1', 'open-4'];
    private const PER_GOAL_WEIGHT = 30;
    private const WORSE_HAND = 5;
    private const NO_GOAL_WEIGHT = 2;

    /** @var list<LeftOut> */
    private array $refused = [];

    private readonly KnownFacts $known;

    private readonly Approaches $approaches;

    /** @param array<string, Dose> $doses prescribed doses by item key; others start at the rung's start dose */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Placements $placements,
        private readonly ClientFacts $facts,
        private readonly ?GoalTask $goal,
        private readonly array $doses,
        private readonly \DateTimeImmutable $today,
    ) {
        $this->known = new KnownFacts($facts, $catalogue->vocabulary, $today);
        $this->approaches = new Approaches($facts, $this->known);
    }

    /** @return list<OptionGroup> in the order of a sitting */
    public function groups(): array
    {
        $this->refused = [];
        $warm = $preparation = $main = $cool = [];
        foreach ($this->placements->ladders as $placed) {
            if ($placed->ladder->isTrained()) {
                $group = $this->trained($placed);
                if (null !== $group) {
                    $main[$placed->ladder->key.'|'.$placed->side->value] = $group;
                }
                continue;
            }
            if (LadderKind::Protocol === $placed->ladder->kind || $this->isCarriedForNothing($placed)) {
                continue;
            }
            $weight = $this->weight($placed);
            foreach ($placed->offered() as $rung) {
                $item = $this->item($rung, $placed, SittingRole::Main === $rung->role ? $this->reason($placed, $weight) : '');
                if (null === $item) {
                    continue;
                }
                match ($rung->role) {
                    SittingRole::WarmUp => $warm[$item->key()] = self::single($item, self::WARM_UP),
                    SittingRole::Preparation => $preparation[$item->key()] = self::single($item, self::PREPARATION),
                    SittingRole::CoolDown => $cool[$item->key()] = self::single($item, self::WARM_UP),
                    SittingRole::Main => $main[$item->key()] = self::single($item, $this->value($placed, $weight)),
                    default => null,
                };
            }
        }

        $leading = array_filter($main, static fn (OptionGroup $g): bool => $g->bestValue() >= self::LADDER + self::PER_GOAL_WEIGHT);
        $leading = array_intersect_key($main, $leading + self::shortList(array_diff_key($main, $leading), self::MOST_BESIDE_THE_GOAL, static fn (OptionGroup $g): int => $g->options[0]->items[0]->seconds()));

        return array_values([
            ...$warm,
            ...self::shortList($preparation, self::MOST_PREPARATION, static fn (OptionGroup $g): int => $g->options[0]->items[0]->seconds()),
            ...self::shortList($leading, self::MOST_MAIN, static fn (OptionGroup $g): int => -$g->bestValue()),
            ...$cool,
        ]);
    }

    /**
     * The first few by rank, in the order of a sitting: what the search looks at, so that it can prove its answer.
     *
     * @param array<string, OptionGroup>   $groups
     * @param \Closure(OptionGroup): int   $rank least first; equal ranks keep the order of a sitting
     *
     * @return array<string, OptionGroup>
     */
    private static function shortList(array $groups, int $most, \Closure $rank): array
    {
        $ranked = array_map($rank, $groups);
        asort($ranked);

        return array_intersect_key($groups, \array_slice($ranked, 0, $most, true));
    }

    /** @return list<LeftOut> what screening, material or performer keeps out; filled by groups() */
    public function refused(): array
    {
        return $this->refused;
    }

    public function known(): KnownFacts
    {
        return $this->known;
    }

    /** An item as it would stand in the routine; null when it is not allowed, which is then noted. */
    public function item(Rung $rung, LadderPlacement $placed, string $reason, ?string $block = null): ?Item
    {
        $missing = $this->missingMaterial($rung) ?? $this->missingPerformer($rung) ?? $this->approaches->refuses($rung, $placed->side);
        if (null !== $missing) {
            $this->refused[] = new LeftOut($rung->name, $missing);

            return null;
        }
        $hands = $this->handsFor($rung, $placed);
        if (null === $hands) {
            return null;
        }
        if ([] !== array_intersect([$rung->id.'|'.$hands->value, ClientFacts::EVERYTHING], $this->facts->suspended)) {
            $this->refused[] = new LeftOut($rung->name, 'Suspended after a symptom until a therapist reopens it');

            return null;
        }

        return new Item($rung, $hands, $this->dose($rung, $hands), '' === $reason ? $rung->words['why'] : $reason, $block, $this->variant($rung, $placed->side));
    }

    /** The sound arm carries the weak one only while that does not lift alone. */
    private function isCarriedForNothing(LadderPlacement $placed): bool
    {
        return 'mobilize-1' === $placed->ladder->key && true === $this->known->value('arm_lifts_alone', null, $placed->side);
    }

    private function trained(LadderPlacement $placed): ?OptionGroup
    {
        $rungs = $placed->offered();
        if ([] === $rungs) {
            return null;
        }
        $weight = $this->weight($placed);
        $value = $this->value($placed, $weight);
        $reason = $this->reason($placed, $weight);
        if (Strand::Grip === $placed->ladder->strand) {
            return $this->gripping($placed, $rungs, $value, $reason);
        }
        if (LadderKind::Chain === $placed->ladder->kind) {
            return $this->chain($placed, $rungs, $value, $reason);
        }
        $item = $this->item($rungs[array_key_last($rungs)], $placed, $reason);
        if (null === $item) {
            return null;
        }
        $leadIn = $this->leadIn($placed, $item);
        $value += $this->approaches->prefers($item->rung, $placed->side);
        $alone = new Option([$item], $value);

        return new OptionGroup($item->rung->name, null === $leadIn ? [$alone] : [new Option([$leadIn, $item], $value + self::LEAD_IN), $alone]);
    }

    /**
     * Gripping work is followed directly by letting go.
     *
     * @param non-empty-list<Rung> $rungs
     */
    private function gripping(LadderPlacement $placed, array $rungs, int $value, string $reason): ?OptionGroup
    {
        $release = null;
        foreach (self::RELEASE as $key) {
            $opening = $this->placements->find($key, $placed->side);
            $rung = $opening?->standingRung();
            $release ??= null === $opening || null === $rung ? null : $this->item($rung, $opening, 'Lets go after gripping');
        }
        $block = LadderKind::Chain === $placed->ladder->kind ? $placed->ladder->key.'|'.$placed->side->value : null;
        $chosen = LadderKind::Chain === $placed->ladder->kind ? $rungs : [$rungs[array_key_last($rungs)]];
        $items = array_values(array_filter(array_map(fn (Rung $r): ?Item => $this->item($r, $placed, $reason, $block), $chosen)));
        if (null === $release || [] === $items) {
            if ([] !== $items) {
                $this->refused[] = new LeftOut($placed->ladder->name, 'Nothing to let go with stands after it');
            }

            return null;
        }
        $options = array_map(static fn (int $length): Option => new Option([...\array_slice($items, 0, $length), $release], intdiv($value * $length, \count($items))), range(\count($items), 1));

        return new OptionGroup($placed->ladder->name, $options);
    }

    /**
     * A chain whole or cut short from its end. The tight-hand opening runs on into closing and opening, as one block.
     *
     * @param non-empty-list<Rung> $rungs
     */
    private function chain(LadderPlacement $placed, array $rungs, int $value, string $reason): ?OptionGroup
    {
        if (\count($rungs) > 1 && 'stretch-1' === $placed->ladder->key && $this->approaches->follows(Question::Fist, School::B, $placed->side)) {
            [$rungs[0], $rungs[1]] = [$rungs[1], $rungs[0]]; // fingers first
        }
        $block = $placed->ladder->key.'|'.$placed->side->value;
        $items = array_values(array_filter(array_map(fn (Rung $r): ?Item => $this->item($r, $placed, $reason, $block), $rungs)));
        if ([] === $items) {
            return null;
        }
        $options = array_map(static fn (int $length): Option => new Option(\array_slice($items, 0, $length), intdiv($value * $length, \count($items))), range(\count($items), 1));
        $opening = $this->closingOfChain($placed, $block);
        if (null !== $opening) {
            array_unshift($options, new Option([...$items, $opening[0]], $value + $opening[1]));
        }

        return new OptionGroup($placed->ladder->name, $options);
    }

    /**
     * The tight-hand opening runs on into closing and opening while the hand is at its loosest, inside the same rounds.
     *
     * @return array{Item, int}|null the item and what it is worth
     */
    private function closingOfChain(LadderPlacement $chain, string $block): ?array
    {
        $opening = 'stretch-1' === $chain->ladder->key ? $this->placements->find('open-1', $chain->side) : null;
        $rung = $opening?->standingRung();
        if (null === $opening || null === $rung || 'close-and-open' !== $rung->id) {
            return null;
        }
        $weight = $this->weight($opening);
        $item = $this->item($rung, $opening, $this->reason($opening, $weight), $block);

        return null === $item ? null : [$item, $this->value($opening, $weight)];
    }

    private function weight(LadderPlacement $placed): int
    {
        return null === $this->goal ? self::NO_GOAL_WEIGHT : ($this->goal->ladderWeights[$placed->ladder->key] ?? 0);
    }

    private function value(LadderPlacement $placed, int $weight): int
    {
        return self::LADDER + self::PER_GOAL_WEIGHT * $weight + ($placed->side === $this->facts->affected[0] ? self::WORSE_HAND : 0);
    }

    private function leadIn(LadderPlacement $placed, Item $item): ?Item
    {
        if ('base-1' !== $placed->ladder->key || ($placed->ladder->positionOf($item->rung->id) ?? 9) > 4) {
            return null;
        }
        foreach ($this->placements->ladders as $other) {
            foreach ($other->side === $placed->side ? $other->offered() : [] as $rung) {
                if (SittingRole::LeadIn === $rung->role) {
                    return $this->item($rung, $other, 'Wakes the muscle for the lift that follows');
                }
            }
        }

        return null;
    }

    private function reason(LadderPlacement $placed, int $weight): string
    {
        $why = null !== $placed->override ? 'Set by the therapist: '.$placed->override->note : 'Stands on this rung of '.$placed->ladder->name;

        return null !== $this->goal && $weight > 0 ? $why.'; leads to: '.$this->goal->label : $why;
    }

    private function handsFor(Rung $rung, LadderPlacement $placed): ?Hands
    {
        if (DoneOn::BothTogether === $rung->doneOn) {
            return $placed->side === $this->facts->affected[0] ? Hands::Together : null; // once, not once a hand
        }
        $certain = $this->certainHand($rung->doneOn);
        if (null !== $certain) {
            return $placed->side === $this->facts->affected[0] ? Hands::of($certain) : null;
        }
        if (DoneOn::Affected === $rung->doneOn) {
            return Hands::of($placed->side);
        }
        if (1 === \count($this->facts->affected)) {
            return Hands::Each;
        }
        $other = $this->placements->find($placed->ladder->key, $placed->side->opposite());
        $alike = null === $other || \in_array($rung, $other->offered(), true);

        return $alike ? ($placed->side === $this->facts->affected[0] ? Hands::Each : null) : Hands::of($placed->side);
    }

    /** The hand that a rung is for whichever is affected; null: it goes by the affected side. */
    private function certainHand(DoneOn $doneOn): ?Side
    {
        return match ($doneOn) {
            DoneOn::WritingHand => $this->facts->writingHand,
            DoneOn::NonDominant => $this->facts->writingHand->opposite(),
            DoneOn::SteadierHand => $this->facts->affected[0]->opposite(),
            DoneOn::Affected, DoneOn::EachHand, DoneOn::BothTogether => null,
        };
    }

    private function dose(Rung $rung, Hands $hands): Dose
    {
        return $this->facts->screening->shortened($this->doses[$rung->id.'|'.$hands->value] ?? $rung->startDose, $rung, $this->today);
    }

    private function variant(Rung $rung, Side $side): ?string
    {
        if (!$rung->wantsFirmWrist) {
            return null;
        }
        $hold = $this->known->value('wrist_ext_hold_s', null, $side);

        return \is_float($hold) && $hold >= 5.0 ? null : 'Forearm and hand on the table or a rolled towel, wrist near straight';
    }

    private function missingMaterial(Rung $rung): ?string
    {
        $atHand = $this->facts->materials;
        if (null === $atHand) {
            return null; // never asked: nothing is left out for it
        }
        foreach ($rung->materials as $material) {
            if (!\in_array($material, $atHand, true)) {
                return 'Not at hand: '.($this->catalogue->handbook()->material($material)->label ?? $material);
            }
        }

        return null;
    }

    private function missingPerformer(Rung $rung): ?string
    {
        foreach ($rung->performers as $performer) {
            $can = match ($performer) {
                Performer::ClientAlone, Performer::OwnOtherHand => true,
                Performer::Helper => $this->facts->helperHere && \in_array($rung->id, $this->facts->helperSigned, true),
                Performer::HelperPrompts => $this->facts->helperHere,
                Performer::TrainedTherapist => !$this->facts->atHome && $this->facts->supervised,
            };
            if ($can) {
                return null;
            }
        }

        return 'Nobody here who may do it';
    }

    private static function single(Item $item, int $value): OptionGroup
    {
        return new OptionGroup($item->rung->name, [new Option([$item], $value)]);
    }
}
