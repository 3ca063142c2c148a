<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Impairment;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Placement\Placements;

/** What matters most for each hand, from the rows of the catalogue and the goals. */
final class Priorities
{
    private const MOST_FOCUS = 3;
    /** Under so many minutes one less, so that each gets enough of them. */
    private const FEW_MINUTES = 15;

    /** @var array<string, list<Impairment>> rows that are true, by side */
    private array $true = [];

    /** @var array<string, Priority> */
    private array $found = [];

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Goals $goals,
        private readonly KnownFacts $known,
    ) {
    }

    public function ofLadder(Ladder $ladder, Side $side): Priority
    {
        return $this->found[$ladder->key.'|'.$side->value] ??= $this->weighed(
            $ladder,
            $side,
            static fn (Impairment $row): int => $row->weightOfLadder($ladder),
        );
    }

    public function ofRung(Rung $rung, Ladder $ladder, Side $side): Priority
    {
        return $this->found[$rung->id.'|'.$side->value] ??= $this->weighed(
            $ladder,
            $side,
            static fn (Impairment $row): int => $row->weightOf($rung, $ladder),
        );
    }

    /**
     * The few ladders that matter most: worse side first, then the order of the goals, then the order of a sitting.
     *
     * @param list<Side>                              $affected the worse one first
     * @param int                                     $minutes of a sitting
     * @param list<string>                            $first    `ladder|side` that a therapist puts first
     * @param (\Closure(LadderPlacement): bool)|null $mayCome  whether something of it may be given; null: not asked
     *
     * @return list<array{LadderPlacement, Priority}>
     */
    public function focus(
        Placements $placements,
        array $affected,
        int $minutes,
        array $first = [],
        ?\Closure $mayCome = null,
    ): array {
        $most = self::MOST_FOCUS - ($minutes < self::FEW_MINUTES ? 1 : 0);
        $ranked = [];
        foreach ($placements->ladders as $order => $placed) {
            $priority = $this->ofLadder($placed->ladder, $placed->side);
            $chosen = array_search($placed->ladder->key.'|'.$placed->side->value, $first, true);
            $matters = false !== $chosen || $priority->total() >= Priority::FOCUS_FROM;
            if ($matters && self::isOpen($placed)) {
                $side = (int) array_search($placed->side, $affected, true);
                $rank = false === $chosen ? \count($first) : $chosen;
                $ranked[] = [[$rank, $side, -$priority->total(), -$priority->goal, $order], $placed, $priority];
            }
        }
        usort($ranked, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        $focus = [];
        foreach ($ranked as [, $placed, $priority]) {
            if (\count($focus) < $most && (null === $mayCome || $mayCome($placed))) {
                $focus[] = [$placed, $priority];
            }
        }

        return $focus;
    }

    /** Neither done with nor kept out, and there is something to do. */
    private static function isOpen(LadderPlacement $placed): bool
    {
        return [] !== $placed->offered()
            && !\in_array($placed->state, [LadderState::Complete, LadderState::Blocked], true);
    }

    /** @param \Closure(Impairment): int $weight */
    private function weighed(Ladder $ladder, Side $side, \Closure $weight): Priority
    {
        $most = $added = 0;
        $reasons = [];
        foreach ($this->rows($side) as $row) {
            $of = $weight($row);
            $on = $row->added[$ladder->key] ?? 0;
            $most = max($most, $of);
            $added += $on;
            if ($of > 0 || $on > 0) {
                $reasons[] = $row->reason;
            }
        }

        return new Priority(
            $this->goals->highestFor($ladder->key),
            min(Impairment::MOST, $most + $added),
            $reasons,
        );
    }

    /** @return list<Impairment> */
    private function rows(Side $side): array
    {
        return $this->true[$side->value] ??= array_values(array_filter(
            $this->catalogue->impairments,
            fn (Impairment $row): bool => $row->while->judge($this->known, $side)->isTrue(),
        ));
    }
}
