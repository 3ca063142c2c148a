<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\Atom;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Condition\SidePrefix;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Condition\Verdict;

/**
 * Whether a hand may stand on an exercise of a climb: the one below was met in the log, or lies behind by what was
 * measured, or this one was tried and went clean.
 */
final readonly class Evidence
{
    public function __construct(
        private HandOfClient $hand,
    ) {
    }

    /** What has not been tried is unknown, what was tried and not clean is false. */
    public function for(Rung $rung, Rung $previous): Verdict
    {
        if (
            $this->isMet($previous)
            || $this->isMet($rung)
        ) { // it was done as it should be, whatever was below
            return new Verdict(Truth::True, []);
        }
        $found = $this->tryOut($rung);
        if (
            null === $found
            && (
                $this->isSettled($rung)
                || (
                    $this->isSettled(
                        $previous,
                    )
                    && !$rung->isEarned()
                )
            )
        ) {
            return new Verdict(Truth::True, []);
        }
        $truth = null === $found ? Truth::Unknown : Truth::fromBool('clean' === $found);
        $atom = new Atom(SidePrefix::Placed, 'tryout', $rung->id);

        return new Verdict($truth, [new Finding($atom, $this->hand->side, $found, $truth)]);
    }

    /**
     * Highest fitting rung that was tried cleanly, has met its evidence or lies behind; -1: none.
     *
     * @param list<Rung> $fitting
     */
    public function highest(array $fitting): int
    {
        for ($i = \count($fitting) - 1; $i >= 0; --$i) {
            if (
                'clean' === $this->tryOut($fitting[$i])
                || $this->isMet($fitting[$i])
                || $this->isSettled($fitting[$i])
            ) {
                return $i;
            }
        }

        return -1;
    }

    public function isMet(Rung $rung): bool
    {
        return $this->hand->facts->isMet($rung->id, $this->hand->side);
    }

    /** What was measured says that it lies behind, and no try-out says otherwise. */
    public function isSettled(Rung $rung): bool
    {
        $while = $rung->fit->settledWhen;
        $tried = $this->tryOut($rung);

        return null !== $while
            && (null === $tried || 'clean' === $tried)
            && $while->judge($this->hand->known->settling(), $this->hand->side)->isTrue();
    }

    private function tryOut(Rung $rung): float|bool|string|null
    {
        return $this->hand->known->value('tryout', $rung->id, $this->hand->side);
    }
}
