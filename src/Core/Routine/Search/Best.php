<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Objective;

/** The best sitting so far, with its amounts, and the most that what was left unseen could be worth. */
final class Best
{
    private ?State $state = null;

    /** @var array<string, int> steps of its amounts, by the key of item or chain */
    private array $amounts = [];

    private int $toBeat;

    private int $unseen = \PHP_INT_MIN;

    /** @param ?int $atLeast what is not better than this is not wanted */
    public function __construct(
        private readonly Making $making,
        private readonly Objective $objective,
        ?int $atLeast,
    ) {
        $this->toBeat = null === $atLeast ? \PHP_INT_MIN : $atLeast - 1;
    }

    public function toBeat(): int
    {
        return $this->toBeat;
    }

    public function state(): ?State
    {
        return $this->state;
    }

    /** Something was not looked at that could have been worth so much. */
    public function missed(int $bound): void
    {
        $this->unseen = max($this->unseen, $bound);
    }

    /** A sitting with all its choices made; whether it is better. */
    public function offer(State $state): bool
    {
        if (!$this->making->isWhole($state)) {
            return false;
        }
        [$seconds, $effort] = $this->making->left($state);
        $amounts = new Amounts(
            $state->growths(),
            $this->making->prices->sets(),
            $this->objective,
            $state->points,
            toBeat: $this->toBeat,
        );
        $amounts->choose($seconds, $effort, $state->opens - $state->grips);
        $isBetter = $amounts->value() > $this->toBeat;
        if ($isBetter) {
            $this->state = $state;
            $this->toBeat = $amounts->value();
            $this->amounts = $amounts->steps();
        }
        if (!$amounts->isExact()) {
            $this->missed($this->making->most(\count($this->making->stages), $state, $this->toBeat));
        }

        return $isBetter;
    }

    public function found(int $nodes): ?Found
    {
        return null === $this->state
            ? null
            : new Found(
                array_map($this->grown(...), $this->state->steps()),
                $this->toBeat,
                max($this->toBeat, $this->unseen),
                $nodes,
            );
    }

    private function grown(Step $step): Item
    {
        return $step->item->grown($this->amounts[$step->item->block ?? $step->item->key()] ?? 0);
    }
}
