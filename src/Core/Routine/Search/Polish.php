<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/**
 * Makes a good sitting better by changing one choice at a time: what it needs is brought in before it, and where there
 * is no room the choice that is worth least makes way. Proves nothing.
 */
final class Polish
{
    /** Sittings that are made on the way, at most. */
    private const MOST_TRIES = 500;
    /** How many choices are asked to make way. */
    private const MOST_GIVING_WAY = 3;
    /** How many preparations are brought in for a choice. */
    private const MOST_GIVERS = 2;

    private int $tries = 0;

    /** @var array<int, ?Choice> of the best so far, by stage */
    private array $chosen = [];

    /** @var array<int, State> of the best so far, before each stage */
    private array $before = [];

    /** @var array<int, float> what each choice gains over its price, by its id */
    private array $nets = [];

    public function __construct(
        private readonly Making $making,
        private readonly Best $best,
    ) {
    }

    /** @param int $bound that nothing exceeds: what would cost more than is between is not tried */
    public function improve(int $bound): void
    {
        $sets = $this->making->prices->sets();
        $set = $sets[\count($sets) - 1];
        foreach ($this->making->stages as $stage) {
            foreach ($stage->choices as $choice) {
                $this->nets[spl_object_id($choice)] = $set->net($choice);
            }
        }
        do {
            $was = $this->best->toBeat();
            if (!$this->read()) {
                return;
            }
            foreach ($this->making->stages as $at => $stage) {
                $this->changing($at, $stage, $bound);
            }
        } while ($this->best->toBeat() > $was && $this->tries < self::MOST_TRIES);
    }

    /** What the best so far consists of. */
    private function read(): bool
    {
        $best = $this->best->state();
        if (null === $best) {
            return false;
        }
        $taken = [];
        foreach ($best->choices() as $choice) {
            $taken[spl_object_id($choice)] = true;
        }
        $state = new State();
        foreach ($this->making->stages as $at => $stage) {
            $this->before[$at] = $state;
            $this->chosen[$at] = null;
            foreach ($stage->choices as $choice) {
                if (isset($taken[spl_object_id($choice)])) {
                    $this->chosen[$at] = $choice;
                    $then = $this->making->with($state, $choice);
                    $state = $then instanceof State ? $then : $state;
                }
            }
        }

        return true;
    }

    private function changing(int $at, Stage $stage, int $bound): void
    {
        $most = max(0.0, ...array_map($this->net(...), $stage->choices));
        foreach ($stage->must ? $stage->choices : [null, ...$stage->choices] as $choice) {
            if (
                $choice !== $this->chosen[$at]
                && $this->tries < self::MOST_TRIES
                && $most - $this->net($choice) < $bound - $this->best->toBeat()
                && $this->isBetterWith($at, $choice)
            ) {
                $this->read();
            }
        }
    }

    private function isBetterWith(int $at, ?Choice $choice): bool
    {
        $chosen = $this->chosen;
        $chosen[$at] = $choice;
        $made = $this->made($chosen, $at);
        if ($made instanceof State) {
            return $this->isBetter($made);
        }
        if (Misfit::Unprepared === $made || Misfit::Taken === $made) {
            return false;
        }
        foreach ($this->givingWay($at, Misfit::Items === $made) as $other) {
            $fewer = $chosen;
            $fewer[$other] = null;
            $made = $this->made($fewer, min($at, $other));
            if ($made instanceof State && $this->isBetter($made)) {
                return true;
            }
        }

        return false;
    }

    private function isBetter(State $state): bool
    {
        $toBeat = $this->best->toBeat();

        return $this->making->most(\count($this->making->stages), $state, $toBeat) > $toBeat
            && $this->best->offer($state);
    }

    /**
     * A sitting of these choices, with what they need.
     *
     * @param array<int, ?Choice> $chosen by stage
     */
    private function made(array $chosen, int $from): State|Misfit
    {
        $givers = 0;
        ++$this->tries;
        $state = $this->before[$from];
        for ($at = $from; isset($this->making->stages[$at]); ++$at) {
            if (null === $chosen[$at]) {
                continue;
            }
            $then = $this->making->with($state, $chosen[$at]);
            if ($then instanceof State) {
                $state = $then;
                continue;
            }
            $giver = Misfit::Unprepared === $then && ++$givers <= self::MOST_GIVERS
                ? $this->giver($chosen, $at, $chosen[$at]->needs & ~$state->gives)
                : null;
            if (null === $giver) {
                return $then;
            }
            [$place, $choice] = $giver;
            $chosen[$place] = $choice;
            $from = min($from, $place);
            $state = $this->before[$from];
            $at = $from - 1;
        }

        return $state;
    }

    /**
     * @param array<int, ?Choice> $chosen
     *
     * @return ?array{int, Choice} what gives this before a stage where nothing is chosen yet, for the least price
     */
    private function giver(array $chosen, int $before, int $missing): ?array
    {
        $giver = null;
        $least = -\INF;
        for ($at = 0; $at < $before; ++$at) {
            foreach (null === $chosen[$at] ? $this->making->stages[$at]->choices : [] as $choice) {
                if (0 === ($missing & ~$choice->gives) && $this->net($choice) > $least) {
                    $least = $this->net($choice);
                    $giver = [$at, $choice];
                }
            }
        }

        return $giver;
    }

    private function net(?Choice $choice): float
    {
        return null === $choice ? 0.0 : $this->nets[spl_object_id($choice)];
    }

    /** @return list<int> stages whose choice may make way, what gains least first */
    private function givingWay(int $for, bool $items): array
    {
        $nets = [];
        foreach ($this->chosen as $at => $choice) {
            if (
                null !== $choice && $at !== $for && !$this->making->stages[$at]->must
                && (!$items || $choice->ownItems > 0)
            ) {
                $nets[$at] = $this->net($choice);
            }
        }
        asort($nets);

        return \array_slice(array_keys($nets), 0, self::MOST_GIVING_WAY);
    }
}
