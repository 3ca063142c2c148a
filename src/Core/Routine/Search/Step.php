<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Item;

/** One item in whole numbers and bit sets, as the search counts with it. */
final readonly class Step
{
    public const WARM_UP = 1;
    public const CLOSING = 2;
    public const WORK = 4;

    /**
     * @param int $effort     seconds times intensity
     * @param int $needs      bits of what has to stand before it
     * @param int $gives      bits of what it is to those after it
     * @param int $heavy      bits of the muscle groups it loads, when its intensity counts as heavy
     * @param int $key        bit of its key, where another group could bring the same item
     * @param int $area       bit of the area it reaches
     * @param int $areaPoints of the first item there
     * @param int $posture    its number, from 1
     * @param int $opens      quarter seconds of opening work
     * @param int $grips      quarter seconds of gripping work
     * @param int $parts      bits of the parts of a sitting: warm-up, closing, work
     * @param int $counts     1 where a client counts it as something to do by itself
     * @param int $alone      seconds by itself
     * @param ?Growth $growth of an item that other groups could bring as well
     * @param int $homeKey    bit of what it is counted as, where another group could bring the same
     */
    public function __construct(
        public Item $item,
        public int $seconds,
        public int $effort,
        public int $worth,
        public int $needs,
        public int $gives,
        public int $heavy,
        public int $posture,
        public int $key,
        public int $area,
        public int $areaPoints,
        public int $opens,
        public int $grips,
        public int $parts,
        public int $counts = 0,
        public int $homeKey = 0,
        public int $alone = 0,
        public ?Growth $growth = null,
    ) {
    }

    /** Of what a client counts, in halves: what two groups could bring is half of it each, so never too much. */
    public function halfItems(): int
    {
        return 0 === $this->homeKey ? 2 * $this->counts : $this->counts;
    }

    /** Another group could bring it as well. */
    public function isShared(): bool
    {
        return 0 !== $this->key;
    }
}
