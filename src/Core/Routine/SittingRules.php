<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Routine\Rule\EndsOpen;
use HandGarden\Core\Routine\Rule\FewItemsAtHome;
use HandGarden\Core\Routine\Rule\FitsTheEffort;
use HandGarden\Core\Routine\Rule\FitsTheTime;
use HandGarden\Core\Routine\Rule\FrameIsShort;
use HandGarden\Core\Routine\Rule\PauseBetweenHeavy;
use HandGarden\Core\Routine\Rule\PreparedPart;
use HandGarden\Core\Routine\Rule\ReleaseAfterGrip;
use HandGarden\Core\Routine\Rule\SittingRule;
use HandGarden\Core\Routine\Rule\StartsWarm;
use HandGarden\Core\Routine\Rule\StrengthEverySecondDay;
use HandGarden\Core\Routine\Rule\StretchedBefore;
use HandGarden\Core\Routine\Rule\TightHandOpensMore;
use HandGarden\Core\Words\Phrase;

/** The hard rules of a sitting. The builder keeps them; what a therapist makes by hand is held against them. */
final readonly class SittingRules
{
    /** @param list<SittingRule> $rules in the order in which a therapist would ask */
    public function __construct(
        private array $rules,
    ) {
    }

    public static function for(Limits $limits, HandsAtWork $hands): self
    {
        return new self([
            new PreparedPart(),
            new StretchedBefore($hands),
            new StrengthEverySecondDay($limits),
            new FitsTheTime($limits),
            new FitsTheEffort($limits),
            new FewItemsAtHome($limits),
            new StartsWarm(),
            new FrameIsShort($limits),
            new EndsOpen(),
            new PauseBetweenHeavy(),
            new ReleaseAfterGrip($hands),
            new TightHandOpensMore($hands),
        ]);
    }

    /**
     * @param list<Item> $items in order
     *
     * @return list<BrokenRule> empty: all kept
     */
    public function broken(array $items): array
    {
        return array_merge(
            ...array_map(static fn (SittingRule $rule): array => $rule->broken($items), $this->rules),
        );
    }

    /** @return list<Need> what has to stand earlier in the sitting, for each hand that the item is for */
    public function needsOf(Item $item): array
    {
        return array_merge(
            ...array_map(static fn (SittingRule $rule): array => $rule->needs($item), $this->rules),
        );
    }

    /**
     * The first rule that keeps these out; null: no rule does.
     *
     * @param list<Item>           $chosen
     * @param non-empty-list<Item> $missing
     */
    public function whyLeftOut(array $chosen, array $missing): ?Phrase
    {
        foreach ($this->rules as $rule) {
            $why = $rule->leftOut($chosen, $missing);
            if (null !== $why) {
                return $why;
            }
        }

        return null;
    }
}
