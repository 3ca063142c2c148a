<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Placement\Placements;

/** Builds the routine of one sitting; the same input gives the same output. */
final readonly class Builder
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param array<string, Dose> $doses prescribed doses by item key
     *
     * @throws NothingFits naming what stands in the way
     */
    public function build(Placements $placements, ClientFacts $facts, ?GoalTask $goal, Limits $limits, array $doses, \DateTimeImmutable $today): Routine
    {
        $candidates = new Candidates($this->catalogue, $placements, $facts, $goal, $doses, $today);
        $groups = $candidates->groups();
        $pause = $this->pause($candidates, $facts);
        $search = new Search($groups, $this->rules($candidates, $facts, $limits), $limits, $pause);
        $found = $search->best();
        if (null === $found) {
            throw NothingFits::because($this->obstacles($placements, $facts, $groups, $limits));
        }
        $more = $limits->withMinutes($limits->minutes + 5);
        $longer = (new Search($groups, $this->rules($candidates, $facts, $more), $more, $pause))->best($found);

        return new Routine(
            new Sequence($found->items),
            $limits,
            $found->value,
            $found->proved,
            [...$this->leftOut($groups, $found->items, $this->rules($candidates, $facts, $limits), $limits), ...$candidates->refused()],
            null === $longer ? [] : self::added($found->items, $longer->items),
        );
    }

    public function rulesFor(Placements $placements, ClientFacts $facts, Limits $limits, \DateTimeImmutable $today): SittingRules
    {
        return $this->rules(new Candidates($this->catalogue, $placements, $facts, null, [], $today), $facts, $limits);
    }

    private function rules(Candidates $candidates, ClientFacts $facts, Limits $limits): SittingRules
    {
        $tone = [];
        foreach (Side::cases() as $side) {
            $rank = $candidates->known()->value('tone_finger', null, $side);
            if (\is_float($rank)) {
                $tone[$side->value] = $rank;
            } elseif (\in_array($side, $facts->unaffected, true)) {
                $tone[$side->value] = 0.0;
            }
        }
        $tightHandOpening = null;
        foreach ($this->catalogue->ladders() as $ladder) {
            if ('stretch-1' === $ladder->key) {
                $tightHandOpening = $ladder;
            }
        }

        return new SittingRules($limits, $tone, null !== $tightHandOpening && [] !== $tightHandOpening->fittingRungs($facts->conditions));
    }

    /** Shaking loose is replaced by a still rest where a quick movement or the shoulder speaks against it. */
    private function pause(Candidates $candidates, ClientFacts $facts): ?Item
    {
        if (!$this->catalogue->hasRung('shake-loose-pause')) {
            return null;
        }
        $rung = $this->catalogue->rung('shake-loose-pause');
        $still = false;
        foreach ($facts->affected as $side) {
            $tone = $candidates->known()->value('tone_finger', null, $side);
            $still = $still || false !== $candidates->known()->value('quick_spasm', null, $side)
                || true !== $candidates->known()->value('shoulder_free', null, $side)
                || !\is_float($tone) || $tone >= 2.0;
        }

        return new Item($rung, Hands::Together, $rung->startDose, 'A pause between heavy items for the same muscles', null, $still ? 'Still rest: hands open on the lap, one long out-breath' : null, null, true);
    }

    /**
     * @param list<OptionGroup> $groups
     * @param list<Item>        $chosen
     *
     * @return list<LeftOut>
     */
    private function leftOut(array $groups, array $chosen, SittingRules $rules, Limits $limits): array
    {
        $keys = array_map(static fn (Item $i): string => $i->key(), $chosen);
        $out = [];
        foreach ($groups as $group) {
            $whole = $group->options[0]->items;
            $missing = array_values(array_filter($whole, static fn (Item $i): bool => !\in_array($i->key(), $keys, true)));
            if ([] === $missing) {
                continue;
            }
            $label = implode(', ', array_map(static fn (Item $i): string => $i->rung->name.(Hands::Together === $i->hands || Hands::Each === $i->hands ? '' : ' ('.$i->hands->value.')'), $missing));
            $out[] = new LeftOut($label, self::binding($missing, $chosen, $rules, $limits));
        }

        return $out;
    }

    /**
     * The rule that keeps it out, in the order a therapist would ask.
     *
     * @param non-empty-list<Item> $missing
     * @param list<Item>           $chosen
     */
    private static function binding(array $missing, array $chosen, SittingRules $rules, Limits $limits): string
    {
        $needs = $rules->missingBefore($chosen, $missing[0]);
        $sequence = new Sequence([...$chosen, ...$missing]);
        $over = $sequence->seconds() - $limits->seconds();

        return match (true) {
            [] !== $needs => ucfirst($needs[0]),
            $over > 0 => \sprintf('Time: %d:%02d more than the %d minutes', intdiv($over, 60), $over % 60, $limits->minutes),
            $sequence->effort() > $limits->effortBudget() => \sprintf('Effort: %.0f of %.0f', $sequence->effort(), $limits->effortBudget()),
            $sequence->homeItems() > $limits->homeItems => \sprintf('Number of items: at most %d at home', $limits->homeItems),
            default => 'Others serve the goal better',
        };
    }

    /**
     * @param list<Item> $now
     * @param list<Item> $longer
     *
     * @return list<string>
     */
    private static function added(array $now, array $longer): array
    {
        $keys = array_map(static fn (Item $i): string => $i->key(), $now);

        return array_values(array_map(static fn (Item $i): string => $i->rung->name, array_filter($longer, static fn (Item $i): bool => !$i->isPause && !\in_array($i->key(), $keys, true))));
    }

    /**
     * @param list<OptionGroup> $groups
     *
     * @return list<string>
     */
    private function obstacles(Placements $placements, ClientFacts $facts, array $groups, Limits $limits): array
    {
        $reasons = [];
        if (\in_array(ClientFacts::EVERYTHING, $facts->suspended, true)) {
            return ['The routine is suspended after a symptom; a therapist reopens it under Decisions.'];
        }
        foreach ($placements->ladders as $placed) {
            foreach ($placed->next->screening ?? [] as $block) {
                $reasons[$block->text()] = $block->text();
            }
        }
        if ([] !== $reasons) {
            return array_values($reasons);
        }
        foreach ($placements->ladders as $placed) {
            if (LadderState::Measure === $placed->state) {
                $reasons[] = $placed->ladder->name.' waits for measuring.';
            }
        }

        return [] === $groups ? [...$reasons, 'No item is allowed.'] : [\sprintf('A warm-up and a cool-down do not fit into %d minutes together with anything else, or are not allowed.', $limits->minutes), ...$reasons];
    }
}
