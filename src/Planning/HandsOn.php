<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Catalogue\TaskWith;
use HandGarden\Core\Catalogue\Technique;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Web\Wording;

/** What of a client's plan, and of what may come into it, asks for a helper's hands: by technique and hand. */
final readonly class HandsOn
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private Briefs $briefs,
        private CatalogueStore $catalogue,
        private Wording $wording,
    ) {
    }

    /** @return list<TaughtWork> in the order of the techniques */
    public function of(Client $client): array
    {
        [$doses, $alone] = $this->planned($client);
        $names = $this->placed($client) + $this->tasks($client);
        $catalogue = $this->catalogue->get();
        foreach (array_keys($doses) as $key) {
            $names[$key] ??= $catalogue->nameOf((string) RungOnSide::fromText($key)?->rungId);
        }
        $works = [];
        foreach ($catalogue->handbook()->techniques->all as $technique) {
            foreach (Side::cases() as $side) {
                $mine = self::mine($technique, $side, $names);
                if ([] !== $mine) {
                    $works[] = new TaughtWork($technique, $side, $mine, $doses, alone: $alone);
                }
            }
        }

        return $works;
    }

    public function find(Client $client, string $technique, Side $side): ?TaughtWork
    {
        foreach ($this->of($client) as $work) {
            if ($work->technique->key === $technique && $work->side === $side) {
                return $work;
            }
        }

        return null;
    }

    /**
     * @param array<string, string> $names by exercise and hand
     *
     * @return array<string, string> those of one technique and hand
     */
    private static function mine(Technique $technique, Side $side, array $names): array
    {
        $mine = [];
        foreach ($technique->ids as $id) {
            $key = (new RungOnSide($id, $side))->text();
            if (isset($names[$key])) {
                $mine[$key] = $names[$key];
            }
        }

        return $mine;
    }

    /**
     * @return array{array<string, string>, list<string>} of what stands in a routine, by exercise and hand: doses in
     *     words, and what needs nobody
     */
    private function planned(Client $client): array
    {
        $doses = $alone = [];
        foreach ($this->plans->kinds($client) as $kind) {
            $door = $this->briefs->doorAlone($client, $kind);
            foreach ($this->plan->items($client, $kind) as $item) {
                if ($item->isPause || !$item->rung->asksForHands()) {
                    continue;
                }
                // a hand that is well needs no helper who was shown how to hold it
                foreach (RungOnSide::ofThese($item->rung->id, $item->hands, $client->affected()) as $one) {
                    $doses[$one->text()] = $this->wording->say(DoseWords::of($item->dose));
                    if (null === $door->stops($item)) {
                        $alone[] = $one->text();
                    }
                }
            }
        }

        return [$doses, $alone];
    }

    /** @return array<string, string> names of what the hand is ready for, by exercise and hand */
    private function placed(Client $client): array
    {
        $names = [];
        foreach ($this->plan->placements($client)->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                if ($rung->asksForHands()) {
                    $names[(new RungOnSide($rung->id, $placed->side))->text()] = $rung->name;
                }
            }
        }

        return $names;
    }

    /** @return array<string, string> names of the parts of the tasks that matter, by part and hand */
    private function tasks(Client $client): array
    {
        $names = [];
        foreach ($this->catalogue->get()->tasks() as $task) {
            foreach (isset($client->goals[$task->key]) ? $task->parts : [] as $part) {
                foreach (\in_array(
                    TaskWith::Helper,
                    $part->with,
                    true,
                ) ? $client->affected() : [] as $side) {
                    $names[(new RungOnSide($part->idIn($task), $side))->text()] = $task->label.': '.lcfirst(
                        $part->words,
                    );
                }
            }
        }

        return $names;
    }
}
