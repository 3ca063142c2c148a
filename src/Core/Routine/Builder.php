<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Routine\Search\Compiler;
use HandGarden\Core\Routine\Search\Found;
use HandGarden\Core\Routine\Search\Search;

/** Builds the routine of one sitting; the same brief gives the same routine. */
final readonly class Builder
{
    private const MORE_MINUTES = 5;

    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** @throws NothingFits naming what stands in the way */
    public function build(Brief $brief): Routine
    {
        $candidates = new Candidates($this->catalogue, $brief);
        $groups = $candidates->groups();
        $found = $this->search($brief, $groups, $candidates->known());
        if (null === $found) {
            throw NothingFits::because($this->obstacles($brief, $groups));
        }
        $rules = $this->rules($candidates->known(), $brief->facts, $brief->limits);

        return new Routine(
            new Sequence($brief->edits->arrange($found->items)),
            $brief->limits,
            $found->value,
            $found->bound,
            leftOut: [
                ...(new WhyNot($rules, $brief->limits))->leftOut($groups, $found->items),
                ...$candidates->refused(),
            ],
        );
    }

    /** What five more minutes would add; null when nothing. */
    public function withMoreMinutes(Routine $now, Brief $brief): ?Alternative
    {
        $longer = $brief->withLimits(
            $brief->limits->withMinutes($brief->limits->minutes + self::MORE_MINUTES),
        );

        return $this->instead(self::MORE_MINUTES.' more minutes', $now, $longer);
    }

    /** What another brief would add, where everything that is possible now stays possible; null when nothing. */
    public function instead(string $with, Routine $now, Brief $brief): ?Alternative
    {
        $candidates = new Candidates($this->catalogue, $brief);
        $found = $this->search($brief, $candidates->groups(), $candidates->known(), $now->value + 1);
        if (null === $found) {
            return null;
        }
        $keys = array_map(static fn (Item $i): string => $i->key(), $now->sequence->items);
        $adds = array_values(
            array_map(
                static fn (Item $i): string => $i->rung->name,
                array_filter(
                    $found->items,
                    static fn (Item $i): bool => !$i->isPause && !\in_array($i->key(), $keys, true),
                ),
            ),
        );

        return [] === $adds ? null : new Alternative($with, $found->value - $now->value, $adds);
    }

    public function rulesFor(
        ClientFacts $facts,
        Limits $limits,
        \DateTimeImmutable $today,
    ): SittingRules {
        return $this->rules(
            new KnownFacts($facts, $this->catalogue->vocabulary, $today),
            $facts,
            $limits,
        );
    }

    /** @param list<OptionGroup> $groups */
    private function search(
        Brief $brief,
        array $groups,
        KnownFacts $known,
        ?int $atLeast = null,
    ): ?Found {
        $rules = $this->rules($known, $brief->facts, $brief->limits);
        $objective = new Objective($this->catalogue, $brief->goals, $brief->weights);
        $pause = $this->pause($known, $brief->facts);
        $found = (
            new Search($groups, new Compiler($rules, $objective), $objective, $brief->limits, pause: $pause)
        )->best($atLeast);
        if (
            null === $found
            && null === $atLeast
            && [] !== $brief->edits->pinned
        ) { // what they need is not to be had: they come in all the same, and the broken rule is shown
            $found = (new Search(
                $groups,
                new Compiler($rules, $objective, pinsNeedNothing: true),
                $objective,
                $brief->limits,
                pause: $pause,
            ))->best();
        }

        return null === $found || $found->isProved()
            ? $found
            : $this->orOfLessTime($found, $brief, $groups, $known);
    }

    /**
     * What is possible in less time is possible here: a search that was cut short must not come back with less
     * than that.
     *
     * @param list<OptionGroup> $groups
     */
    private function orOfLessTime(Found $found, Brief $brief, array $groups, KnownFacts $known): Found
    {
        $minutes = $brief->limits->minutes - self::MORE_MINUTES;
        $shorter = $minutes < self::MORE_MINUTES
            ? null
            : $this->search(
                $brief->withLimits($brief->limits->withMinutes($minutes)),
                $groups,
                $known,
                $found->value + 1,
            );

        return null === $shorter
            ? $found
            : new Found($shorter->items, $shorter->value, $found->bound, $found->nodes);
    }

    private function rules(KnownFacts $known, ClientFacts $facts, Limits $limits): SittingRules
    {
        $tone = $tight = [];
        foreach (Side::cases() as $side) {
            $rank = $known->value('tone_finger', null, $side);
            if (\is_float($rank)) {
                $tone[$side->value] = $rank;
            } elseif (\in_array($side, $facts->people->unaffected, true)) {
                $tone[$side->value] = 0.0;
            }
            if (
                \in_array($side, $facts->people->affected, true)
                    && (
                        ($tone[$side->value] ?? 2.0) >= 2.0
                        || true === $known->value('curls', null, $side)
                    )
            ) {
                $tight[] = $side;
            }
        }
        $tightHandOpening = false;
        $ofStrand = [Strand::Grip->value => [], Strand::Open->value => []];
        foreach ($this->catalogue->ladders() as $ladder) {
            $tightHandOpening = $tightHandOpening
                || ('stretch-1' === $ladder->key && [] !== $ladder->fittingRungs(
                    $facts->people->conditions,
                ));
            foreach (isset($ofStrand[$ladder->strand->value]) ? $ladder->rungs : [] as $rung) {
                $ofStrand[$ladder->strand->value][$rung->id] = true;
            }
        }

        return new SittingRules(
            $limits,
            $tone,
            $tightHandOpening,
            $tight,
            gripping: $ofStrand[Strand::Grip->value],
            lettingGo: $ofStrand[Strand::Open->value],
        );
    }

    /** Shaking loose is replaced by a still rest where a quick movement or the shoulder speaks against it. */
    private function pause(KnownFacts $known, ClientFacts $facts): ?Item
    {
        if (!$this->catalogue->hasRung('shake-loose-pause')) {
            return null;
        }
        $rung = $this->catalogue->rung('shake-loose-pause');
        $still = false;
        foreach ($facts->people->affected as $side) {
            $tone = $known->value('tone_finger', null, $side);
            $still = $still || false !== $known->value('quick_spasm', null, $side)
                || true !== $known->value('shoulder_free', null, $side)
                || !\is_float($tone) || $tone >= 2.0;
        }

        return new Item(
            $rung,
            Hands::Together,
            $rung->startDose,
            'A pause between heavy items for the same muscles',
            block: null,
            variant: $still ? 'Still rest: hands open on the lap, one long out-breath' : null,
            isPause: true,
        );
    }

    /**
     * @param list<OptionGroup> $groups
     *
     * @return list<string>
     */
    private function obstacles(Brief $brief, array $groups): array
    {
        $reasons = [];
        if (\in_array(Decided::EVERYTHING, $brief->facts->decided->suspended, true)) {
            return [
                'The routine is suspended after a symptom; a therapist reopens it under Decisions.',
            ];
        }
        foreach ($brief->placements->ladders as $placed) {
            foreach ($placed->next->screening ?? [] as $block) {
                $reasons[$block->text()] = $block->text();
            }
        }
        if ([] !== $reasons) {
            return array_values($reasons);
        }
        foreach ($brief->placements->ladders as $placed) {
            if (LadderState::Measure === $placed->state) {
                $reasons[] = $placed->ladder->name.' waits for measuring.';
            }
        }
        $pins = array_map(static fn (Item $i): string => $i->rung->name, $brief->edits->pinned);
        if ([] !== $pins) {
            return [
                \sprintf(
                    'What is kept in (%s) does not fit into %d minutes with a warm-up and a closing item.',
                    implode(', ', $pins),
                    $brief->limits->minutes,
                ),
            ];
        }

        return [...$this->missingParts($brief, $groups), ...$reasons];
    }

    /**
     * Which part of a sitting cannot be had, with the rung that comes nearest; else it is the minutes.
     *
     * @param list<OptionGroup> $groups
     *
     * @return non-empty-list<string>
     */
    private function missingParts(Brief $brief, array $groups): array
    {
        $items = array_merge(
            ...array_map(static fn (OptionGroup $g): array => $g->options[0]->items, $groups),
        );
        $reasons = [];
        foreach (
            [
                'warm-up' => [SittingRules::isWarmUp(...), SittingRole::WarmUp],
                'closing item' => [SittingRules::isCoolDown(...), SittingRole::CoolDown],
            ] as $words => [$is, $role]
        ) {
            if ([] !== array_filter($items, $is)) {
                continue;
            }
            $near = [];
            foreach ($brief->placements->ladders as $placed) {
                $rung = $placed->next?->rung;
                if ($rung?->role === $role) {
                    $near[] = $rung->name.': '.$placed->next->state->value;
                }
            }
            $reasons[] = \sprintf(
                'No %s is allowed%s.',
                $words,
                [] === $near ? ', none fits these conditions' : ' ('.implode('; ', $near).')',
            );
        }

        return [] === $reasons
            ? [
                \sprintf(
                    'A warm-up and a cool-down do not fit into %d minutes together with anything else.',
                    $brief->limits->minutes,
                ),
            ]
            : $reasons;
    }
}
