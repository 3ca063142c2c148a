<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Words\Phrase;

/**
 * A class to begin with: only what at least half of the places can do as shown, where it stands. It begins warm,
 * prepares the parts of the hand before it works them, goes to another part each time, takes one exercise of a ladder,
 * and ends calm.
 */
final class Suggestion
{
    /** Kept for the end. */
    private const END_SECONDS = 150;

    /** @var list<Rung> */
    private array $class = [];

    /** @var list<list<Item>> what each place does as shown */
    private array $shown;

    /** @var list<Item> as the wall leads them */
    private array $leads = [];

    /**
     * @param list<PlaceCards>        $places
     * @param \Closure(Rung): Ladder $ladderOf
     */
    public function __construct(
        private readonly array $places,
        private readonly \Closure $ladderOf,
    ) {
        $this->shown = array_fill(0, \count($places), []);
    }

    /**
     * @param list<Rung> $rungs what suits most of them first
     *
     * @return list<Rung> in the order in which they are led
     */
    public function of(array $rungs, int $minutes): array
    {
        $of = static fn (\Closure $is): array => array_values(array_filter($rungs, $is));
        $prepares = static fn (Rung $r): bool => EffortClass::Prep === $r->load->class;
        $inside = static fn (Rung $r): bool => !\in_array(
            $r->sitting->role,
            [SittingRole::WarmUp, SittingRole::CoolDown],
            true,
        );
        $until = 60 * $minutes - self::END_SECONDS;
        $this->addOne($of(static fn (Rung $r): bool => SittingRole::WarmUp === $r->sitting->role), $until);
        foreach (self::byPart($of(static fn (Rung $r): bool => $inside($r) && $prepares($r))) as $one) {
            $this->addOne($one, $until);
        }
        foreach ($this->inTurn($of(static fn (Rung $r): bool => $inside($r) && !$prepares($r))) as $rung) {
            $this->addOne([$rung], $until);
        }
        $this->addOne(
            $of(static fn (Rung $r): bool => SittingRole::CoolDown === $r->sitting->role),
            60 * $minutes,
        );

        return $this->class;
    }

    /**
     * The first of them that at least half can do, and that fits the time.
     *
     * @param list<Rung> $rungs
     */
    private function addOne(array $rungs, int $until): void
    {
        foreach ($rungs as $rung) {
            $done = array_map(
                static fn (PlaceCards $place, array $chosen): ?Item => $place->asShown($rung, $chosen),
                $this->places,
                $this->shown,
            );
            $doses = [];
            foreach ($done as $item) {
                if (null !== $item) {
                    $doses[] = $item->dose;
                }
            }
            if ([] === $doses || 2 * \count($doses) < \count($this->places)) {
                continue;
            }
            $leads = [...$this->leads, new Item(
                $rung,
                Hands::Together,
                LeadDose::of($doses),
                Phrase::own(''),
            )];
            if ((new Sequence($leads))->seconds() <= $until) {
                $this->class[] = $rung;
                $this->leads = $leads;
                $this->keep($done);

                return;
            }
        }
    }

    /** @param list<?Item> $done by place */
    private function keep(array $done): void
    {
        foreach ($done as $place => $item) {
            if (null !== $item) {
                $this->shown[$place][] = $item;
            }
        }
    }

    /**
     * @param list<Rung> $rungs
     *
     * @return array<string, list<Rung>> by the part of the hand
     */
    private static function byPart(array $rungs): array
    {
        $byPart = [];
        foreach ($rungs as $rung) {
            $byPart[$rung->load->segment->value][] = $rung;
        }

        return $byPart;
    }

    /**
     * One of each ladder, another part of the hand each time.
     *
     * @param list<Rung> $rungs
     *
     * @return list<Rung>
     */
    private function inTurn(array $rungs): array
    {
        $ladders = [];
        foreach ($rungs as $rung) {
            $ladders[($this->ladderOf)($rung)->key] ??= $rung;
        }
        $byPart = self::byPart(array_values($ladders));
        $turns = [];
        for ($turn = 0; $turn < \count($ladders); ++$turn) {
            foreach ($byPart as $of) {
                array_push($turns, ...\array_slice($of, $turn, 1));
            }
        }

        return $turns;
    }
}
