<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\FactCode;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Screening\ScreeningBlock;

/**
 * Walks every ladder from its easiest rung. Screening comes first, then what the rung is to be avoided with, then its
 * own condition; in a climb also the evidence that the rung below is done, or a clean try-out.
 */
final readonly class Placer
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    public function place(ClientFacts $facts, \DateTimeImmutable $today): Placements
    {
        $walk = $this->walk($facts, $today);
        $placed = [];
        foreach ($this->catalogue->ladders() as $ladder) {
            foreach (
                $ladder->isForBothHandsOnly() ? [$facts->people->affected[0]] : $facts->people->affected as $side
            ) {
                $placed[] = $walk->placement($ladder, $side);
            }
        }
        $placed = array_values(array_filter($placed));

        return new Placements($placed, $this->needed($placed));
    }

    /** Where one exercise stands for one hand; null: its ladder is not for this hand alone. */
    public function placeOne(
        Rung $rung,
        Side $side,
        ClientFacts $facts,
        \DateTimeImmutable $today,
    ): ?RungPlacement {
        return $this->walk($facts, $today)
            ->placement($this->catalogue->ladderOf($rung->id), $side)
            ?->for($rung->id);
    }

    private function walk(ClientFacts $facts, \DateTimeImmutable $today): LadderWalk
    {
        return new LadderWalk(
            $this->catalogue,
            $facts,
            $today,
            fn (Ladder $ladder, Side $side, KnownFacts $known): LadderPlacement => $this->ladder(
                $ladder,
                new HandOfClient($side, $facts, $known),
                $today,
            ),
        );
    }

    private function ladder(
        Ladder $ladder,
        HandOfClient $hand,
        \DateTimeImmutable $today,
    ): LadderPlacement {
        $facts = $hand->facts;
        $climb = LadderKind::Climb === $ladder->kind;
        $fitting = $ladder->fittingRungs($facts->people->conditions);
        $evidence = new Evidence($hand);
        $settledBelow = $climb ? $evidence->highest($fitting) : -1;
        $rungs = [];
        $standing = $next = $previous = null;
        $open = true;
        $blockedBelow = null;
        foreach ($ladder->rungs as $rung) {
            $place = array_search($rung, $fitting, true);
            if (false === $place) {
                $rungs[] = new RungPlacement($rung, RungState::NoFit);
                continue;
            }
            $screening = $facts->measured->screening->blocks(
                $rung,
                $ladder->strand->value,
                $facts->setting->supervised,
                $today,
            );
            $below = $climb ? $previous : null;
            $result = null === $blockedBelow
                ? $this->rung(
                    $rung,
                    $screening,
                    $below,
                    $place < $settledBelow || ($climb && $evidence->isSettled($rung)),
                    hand: $hand,
                )
                : self::blockedLike($blockedBelow, $rung, $screening);
            if ($climb && RungState::Blocked === $result->state && null === $blockedBelow) {
                $blockedBelow = $result;
            }
            if ($climb && !$open && $result->isIn()) {
                $result = new RungPlacement($rung, RungState::NotYet); // a climb stops at its first gap
            }
            if ($result->isIn()) {
                $standing = $result;
            } elseif ($open) {
                $next ??= $result;
                $open = !$climb;
            }
            $rungs[] = $result;
            $previous = $rung;
        }
        $override = self::overrideFor($ladder, $hand, $rungs, $today);

        return new LadderPlacement(
            $ladder,
            $hand->side,
            $this->state($ladder, $fitting, $standing, $next, hand: $hand),
            $standing,
            next: $next,
            rungs: $rungs,
            override: $override,
            tryOut: $climb && null !== $next && self::waitsForATryOut($next)
                ? (new FirstTryOut($hand))->of($fitting, $next->rung)
                : null,
        );
    }

    /** @param list<ScreeningBlock> $screening */
    private function rung(
        Rung $rung,
        array $screening,
        ?Rung $previous,
        bool $settledByHigher,
        HandOfClient $hand,
    ): RungPlacement {
        if ([] !== $screening) {
            return new RungPlacement($rung, RungState::Blocked, screening: $screening);
        }
        $barred = Barred::of($rung, $hand);
        if ([] !== $barred->by) {
            return new RungPlacement(
                $rung,
                RungState::Blocked,
                $barred->because,
                $barred->by,
            );
        }
        $unknown = $barred->toLookAt;
        $own = $rung->fit->entry->judge($hand->known, $hand->side);
        if (Truth::False === $own->truth) {
            return new RungPlacement($rung, RungState::NotYet, $own->findings);
        }
        $ends = $rung->fit->endsWhile?->judge($hand->known, $hand->side);
        if (null !== $ends && $ends->isTrue()) {
            return new RungPlacement(
                $rung,
                RungState::NotYet,
                $ends->findings,
                ladderEndsBefore: true,
            );
        }
        $evidence = null === $previous ? null : (new Evidence($hand))->for($rung, $previous);
        if (null !== $evidence && Truth::False === $evidence->truth) {
            return new RungPlacement($rung, RungState::NotYet, $evidence->findings);
        }
        if (!$settledByHigher) {
            if (Truth::Unknown === $own->truth) {
                array_push($unknown, ...$own->findings);
            } elseif (null !== $evidence && Truth::Unknown === $evidence->truth) {
                array_push($unknown, ...$evidence->findings);
            }
        }
        if (null !== $ends && Truth::Unknown === $ends->truth) {
            array_push($unknown, ...$ends->findings);
        }

        if ([] !== $unknown) {
            return new RungPlacement($rung, RungState::Measure, self::distinct($unknown));
        }

        return new RungPlacement(
            $rung,
            RungState::In,
            $own->isTrue() ? $own->findings : [],
        );
    }

    /**
     * In a climb a block keeps out all that is above.
     *
     * @param list<ScreeningBlock> $screening of the rung itself
     */
    private static function blockedLike(
        RungPlacement $below,
        Rung $rung,
        array $screening,
    ): RungPlacement {
        return new RungPlacement(
            $rung,
            RungState::Blocked,
            $below->findings,
            $below->blockedBy,
            screening: [] === $screening ? $below->screening : $screening,
        );
    }

    /** @param list<Rung> $fitting */
    private function state(
        Ladder $ladder,
        array $fitting,
        ?RungPlacement $standing,
        ?RungPlacement $next,
        HandOfClient $hand,
    ): LadderState {
        if ([] === $fitting) {
            return LadderState::NoFit;
        }
        if (null !== $standing) {
            $top = $fitting[array_key_last($fitting)];

            return LadderKind::Climb === $ladder->kind
                && $standing->rung === $top
                && ($hand->facts->isMet($top->id, $hand->side) || (new Evidence($hand))->isSettled($top))
                ? LadderState::Complete
                : LadderState::Standing;
        }

        return match ($next?->state) {
            RungState::Blocked => LadderState::Blocked,
            RungState::Measure => LadderState::Measure,
            default => LadderState::BelowFirst,
        };
    }

    /** @param list<RungPlacement> $rungs */
    private static function overrideFor(
        Ladder $ladder,
        HandOfClient $hand,
        array $rungs,
        \DateTimeImmutable $today,
    ): ?Override {
        foreach ($hand->facts->decided->overrides as $override) {
            if ($override->ladderKey !== $ladder->key || $override->side !== $hand->side) {
                continue;
            }
            foreach ($rungs as $placed) {
                if ($placed->rung->id === $override->rungId) {
                    return [] === $placed->screening && self::holds(
                        $override,
                        $placed->rung,
                        $hand,
                        $today,
                    )
                        ? $override
                        : null;
                }
            }
        }

        return null;
    }

    /** What nobody's note lifts ends it; what a note may set aside ends it when the note is old. */
    private static function holds(
        Override $override,
        Rung $rung,
        HandOfClient $hand,
        \DateTimeImmutable $today,
    ): bool {
        $against = Barred::of($rung, $hand)->by;
        $closed = array_filter($against, static fn (Caution $c): bool => !$c->byNote);

        return [] === $closed
            && !($override->isOver($today) && (
                [] !== $against || Truth::False === $rung->fit->entry->judge(
                    $hand->known,
                    $hand->side,
                )->truth
            ));
    }

    /** All else about it is known. */
    private static function waitsForATryOut(RungPlacement $next): bool
    {
        return RungState::Measure === $next->state && [] === array_filter(
            $next->findings,
            static fn (Finding $f): bool => 'tryout' !== $f->atom->code,
        );
    }

    /**
     * @param list<LadderPlacement> $placed
     *
     * @return list<Needed>
     */
    private function needed(array $placed): array
    {
        $waiting = $atoms = [];
        foreach ($placed as $ladder) {
            if (RungState::Measure !== $ladder->next?->state) {
                continue;
            }
            foreach ($ladder->next->findings as $finding) {
                if (!$this->catalogue->vocabulary->isTaken($finding->atom->code)) {
                    continue; // follows from other ladders or from people
                }
                $isSided = $this->catalogue->vocabulary->isSided($finding->atom->code);
                $argument = 'tryout' === $finding->atom->code
                    ? $ladder->tryOut->id ?? $finding->atom->argument
                    : $finding->atom->argument;
                $fact = new FactCode($finding->atom->code, $argument);
                $key = $fact->text($isSided ? $finding->side : null);
                $atoms[$key] = [$fact, $finding->side];
                $waiting[$key][$ladder->ladder->key.$ladder->side->value] = [$ladder->ladder, $ladder->side];
            }
        }
        $needed = [];
        foreach ($atoms as $key => [$fact, $side]) {
            $needed[] = new Needed(
                $fact->code,
                $fact->argument,
                $side,
                $this->catalogue->vocabulary->secondsToTake($fact->code),
                decides: array_values($waiting[$key]),
            );
        }
        usort(
            $needed,
            static fn (Needed $a, Needed $b): int => [
                $a->seconds,
                -$a->ladders(),
                $a->code,
                $a->argument,
            ] <=> [$b->seconds, -$b->ladders(), $b->code, $b->argument],
        );

        return $needed;
    }

    /**
     * @param list<Finding> $findings
     *
     * @return list<Finding>
     */
    private static function distinct(array $findings): array
    {
        $seen = [];
        foreach ($findings as $finding) {
            $seen[$finding->atom->fact()->text($finding->side)] ??= $finding;
        }

        return array_values($seen);
    }
}
