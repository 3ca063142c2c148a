<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Progress\Rule\Advance;
use HandGarden\Core\Progress\Rule\EaseOnPain;
use HandGarden\Core\Progress\Rule\ItemHistory;
use HandGarden\Core\Progress\Rule\ItemRule;
use HandGarden\Core\Progress\Rule\LighterOnTricks;
use HandGarden\Core\Progress\Rule\Plateau;
use HandGarden\Core\Progress\Rule\ReleaseWhenTighter;
use HandGarden\Core\Progress\Rule\SuspendOnSymptom;
use HandGarden\Core\Progress\Rule\TooEasy;
use HandGarden\Core\Progress\Rule\TooHard;

/** What the log of one item asks for: the first rule that has something to say, in this order. One change an item. */
final readonly class ItemRules
{
    /** @var list<ItemRule> symptom before ease before advance */
    private array $inOrder;

    public function __construct()
    {
        $this->inOrder = [
            new SuspendOnSymptom(),
            new EaseOnPain(),
            new ReleaseWhenTighter(),
            new TooHard(), // before a card that only asks
            new LighterOnTricks(),
            new Advance(),
            new TooEasy(),
            new Plateau(),
        ];
    }

    /** @param list<string> $answered keys of proposals: one that was answered does not stand before the next */
    public function propose(ItemHistory $history, array $answered = []): ?Proposal
    {
        // Where the dose was changed since, the log has nothing to say about it yet, but for symptoms.
        $isChanged = !$history->isAtPrescribedDose($history->last());
        $first = null;
        foreach ($this->inOrder as $rule) {
            $proposal = $isChanged && !$rule->holdsAtAnyDose() ? null : $rule->propose($history);
            if (null === $proposal || \in_array($proposal->key(), $answered, true)) {
                continue;
            }
            $eases = null !== $proposal->to && !$proposal->kind->isMore();
            if (null === $first ? self::comesFirst($proposal) : $eases) {
                return $proposal;
            }
            $first ??= $proposal;
        }

        return $first;
    }

    /** What only asks, or only makes it less often, does not stand before what makes it easier. */
    private static function comesFirst(Proposal $proposal): bool
    {
        $asks = null === $proposal->to && null === $proposal->toRungId && !$proposal->isOfASymptom();

        return !$asks && !$proposal->isLessOften();
    }
}
