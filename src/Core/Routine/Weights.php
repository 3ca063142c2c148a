<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What the parts of the objective are worth; every one is a clinic setting, in points. */
final readonly class Weights
{
    public const MOST = 500;

    public function __construct(
        /** An item of any ladder that the client stands on. */
        public int $ladder = 20,
        /** More for every point (1 to 5) by which the ladder leads to the goals. */
        public int $goal = 30,
        /** More for every point (1 to 5) by which it meets what limits the hand. */
        public int $impairment = 30,
        /** The first set of each of the few ladders that matter most. */
        public int $focus = 400,
        /** The first item of each area that leads to the goals; of any area when there is no goal. */
        public int $area = 15,
        /** A daily task that serves a goal. */
        public int $dailyTask = 20,
        /** The real task at the end of a sitting. */
        public int $realTask = 250,
        /** The hand that is worse off. */
        public int $worseHand = 5,
        /** An item that lengthens or mobilizes. */
        public int $preparation = 8,
        /** A warm-up or closing item. */
        public int $frame = 6,
        /** Waking a muscle before its lift. */
        public int $leadIn = 5,
        /** Taken off for every ten seconds of opening work begun that are missing beside the gripping. */
        public int $balance = 4,
        /** Taken off a warm-up, closing or preparing item for every day of the last seven on which it was done. */
        public int $variety = 1,
        /** Taken off for every change of position. */
        public int $position = 2,
        /** Taken off for every thing that an item takes. */
        public int $material = 1,
    ) {
    }
}
