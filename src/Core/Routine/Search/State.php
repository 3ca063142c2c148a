<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/**
 * Where a partly made sitting stands. It is made from the one before it, step by step, and never changed after that:
 * tens of thousands are made in a search, so they are copied and not built anew.
 */
final class State
{
    public int $points = 0;
    public int $seconds = 0;
    public int $effort = 0;
    public int $homeItems = 0;
    public int $homeKeys = 0;
    public int $homeHalves = 0;
    public int $gives = 0;
    public int $keys = 0;
    public int $areas = 0;
    public int $opens = 0;
    public int $grips = 0;
    public int $parts = 0;
    public int $heavyBefore = 0;
    public int $heavyLast = 0;
    public int $posture = 0;
    public int $frame = 0;
    public int $frameItems = 0;

    /** @var list<float> what doing its items more often gains over its price, at each set of prices there was */
    public array $extras = [];

    private ?self $before = null;

    private ?Choice $choice = null;

    /** @var list<Step> pauses included */
    private array $added = [];

    /** With a choice after it, none of whose steps is taken yet. */
    public function beginning(Choice $choice): self
    {
        $next = clone $this;
        $next->before = $this;
        $next->choice = $choice;
        $next->added = [];

        return $next;
    }

    /** One more item, after the pause between two. */
    public function take(Step $step, int $betweenSeconds, int $moveSeconds, int $pointsPerMove): void
    {
        if (0 !== $this->posture) {
            $this->seconds += $betweenSeconds;
            if ($this->posture !== $step->posture) {
                $this->seconds += $moveSeconds;
                $this->points -= $pointsPerMove;
            }
        }
        $this->seconds += $step->seconds;
        $this->effort += $step->effort;
        $this->posture = $step->posture;
        $this->heavyBefore = $this->heavyLast;
        $this->heavyLast = $step->heavy;
        $this->added[] = $step;
    }

    /** What a step brings beside its time. */
    public function count(Step $step): void
    {
        $this->points += $step->worth + (0 === ($this->areas & $step->area) ? $step->areaPoints : 0);
        $this->gives |= $step->gives;
        $this->keys |= $step->key;
        $this->homeItems += 0 === ($this->homeKeys & $step->homeKey) ? $step->counts : 0;
        $this->homeKeys |= $step->homeKey;
        $this->homeHalves += $step->halfItems();
        if (0 !== ($step->parts & (Step::WARM_UP | Step::CLOSING))) {
            $this->frame += $step->alone;
            ++$this->frameItems;
        }
        $this->areas |= $step->area;
        $this->opens += $step->opens;
        $this->grips += $step->grips;
        $this->parts |= $step->parts;
    }

    /** @return list<Choice> */
    public function choices(): array
    {
        $before = $this->before?->choices() ?? [];

        return null === $this->choice ? $before : [...$before, $this->choice];
    }

    /** @return list<Step> */
    public function steps(): array
    {
        return [...($this->before?->steps() ?? []), ...$this->added];
    }

    /** @return list<Growth> how its items may be done more often */
    public function growths(): array
    {
        return [...($this->before?->growths() ?? []), ...($this->choice->growths ?? [])];
    }
}
