<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Placement\LadderPlacement;

/**
 * Where more stands than fits, every other day has a list of its own: what matters most, what prepares it, large
 * movements and the daily task stay, the other exercises take turns.
 */
final readonly class OtherDays
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /**
     * What the second list does without.
     *
     * @param list<Item>                              $first the list of the other days
     * @param list<array{LadderPlacement, Priority}> $focus
     *
     * @return list<string> item keys
     */
    public function takingTurns(array $first, array $focus): array
    {
        $stays = array_map(static fn (array $of): string => $of[0]->ladder->key, $focus);

        return array_values(array_map(
            static fn (Item $i): string => $i->key(),
            array_filter($first, fn (Item $i): bool => !$i->isPause
                && null === $i->kept
                && SittingRole::Main === $i->rung->sitting->role
                && \in_array($i->rung->load->class, [EffortClass::Practice, EffortClass::Strength], true)
                && !$this->stays($i, $stays)),
        ));
    }

    /**
     * @param list<Item> $first
     * @param list<Item> $second
     *
     * @return bool whether the second brings something in that the first has no room for
     */
    public static function differ(array $first, array $second): bool
    {
        $key = static fn (Item $i): string => $i->key();
        $there = array_map($key, $first);

        return [] !== array_filter(
            $second,
            static fn (Item $i): bool => !$i->isFrame() && !$i->isPause && !\in_array(
                $key($i),
                $there,
                true,
            ),
        );
    }

    /** @param list<string> $focus keys of ladders */
    private function stays(Item $item, array $focus): bool
    {
        $ladder = $this->catalogue->ladderOf($item->rung->id);

        return \in_array($ladder->key, $focus, true) || Strand::Amplitude === $ladder->strand;
    }
}
