<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;

/**
 * The soft aims of a sitting in whole points: what each item is worth, the areas it reaches, less what is missing in
 * opening work, changes of position and things to fetch.
 */
final class Objective
{
    /** @var array<string, Strand> by rung id */
    private array $strands = [];

    /** @var array<string, int> points of the first item of an area, by strand */
    private readonly array $areas;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Goals $goals,
        public readonly Weights $weights,
    ) {
        $areas = [];
        foreach ($catalogue->ladders() as $ladder) {
            $leads = $goals->isEmpty() || $goals->weightOf($ladder->key) > 0.0;
            $areas[$ladder->strand->value] = max(
                $areas[$ladder->strand->value] ?? 0,
                $leads ? $weights->area : 0,
            );
        }
        $this->areas = $areas;
    }

    /** What the first set of an item of this ladder is worth by itself. */
    public function ofLadder(Ladder $ladder, Priority $priority, bool $worseHand): int
    {
        // without a goal every ladder counts as if it led a little to it, so that ladders go before fillers
        $leads = $this->goals->isEmpty() ? 2 : $priority->goal;
        $task = Strand::Daily === $ladder->strand && $priority->goal > 0 ? $this->weights->dailyTask : 0;

        return $this->weights->ladder
            + $this->weights->goal * $leads
            + $this->weights->impairment * $priority->impairment
            + $task
            + ($worseHand ? $this->weights->worseHand : 0);
    }

    /** What is taken off for the things an item takes. */
    public function ofThings(Rung $rung): int
    {
        return $this->weights->material * \count($rung->fit->materials);
    }

    /** The area that an item reaches; null: warming, preparing and closing reach none. */
    public function areaOf(Item $item): ?string
    {
        if ($item->isPause || SittingRole::Main !== $item->rung->sitting->role) {
            return null;
        }

        return (
            $this->strands[$item->rung->id] ??= $this->catalogue->ladderOf($item->rung->id)->strand
        )->value;
    }

    public function ofArea(string $strand): int
    {
        return $this->areas[$strand] ?? 0;
    }

    /** What is taken off for opening work that falls short of the gripping: for every ten seconds begun. */
    public function shortfall(float $extensionSeconds, float $flexionSeconds): int
    {
        return $this->weights->balance * (int) ceil(
            max(0.0, $flexionSeconds - $extensionSeconds) / 10.0 - 1e-9,
        );
    }

    /** @param list<Item> $items in order */
    public function for(array $items): int
    {
        $points = 0;
        $areas = [];
        $previous = null;
        foreach ($items as $item) {
            $points += $item->worth;
            $area = $this->areaOf($item);
            if (null !== $area && !isset($areas[$area])) {
                $areas[$area] = true;
                $points += $this->ofArea($area);
            }
            $points -= null !== $previous && Sequence::changesPosition($previous, $item)
                ? $this->weights->position
                : 0;
            $previous = $item;
        }
        $balance = Balance::from($items);

        return $points - $this->shortfall($balance->extensionSeconds, $balance->flexionSeconds);
    }
}
