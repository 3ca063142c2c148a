<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Routine\Search\Compiler;
use HandGarden\Core\Routine\Search\Found;
use HandGarden\Core\Routine\Search\Search;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** Builds the routine of one sitting; the same brief gives the same routine. */
final readonly class Builder
{
    /** Of a search that only makes sure that less time does not bring more. */
    private const WORK_IN_LESS_TIME = 600;
    private const MORE_MINUTES = 5;

    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** @throws NothingFits naming what stands in the way */
    public function build(Brief $brief): Routine
    {
        $candidates = new Candidates($this->catalogue, $brief);
        if ((new Performers($brief->facts, $candidates->known()))->isAlone()) {
            throw NothingFits::because([new Phrase('nothing_fits.nobody_there')]);
        }
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
                ...(new WhyNot($rules))->leftOut($groups, $found->items),
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

        return $this->instead(
            new Phrase('alternative.minutes', ['minutes' => self::MORE_MINUTES]),
            $now,
            $longer,
        );
    }

    /** What another brief would add, where everything that is possible now stays possible; null when nothing. */
    public function instead(Phrase $with, Routine $now, Brief $brief): ?Alternative
    {
        $candidates = new Candidates($this->catalogue, $brief);
        $found = $this->search(
            $brief,
            $candidates->groups(),
            $candidates->known(),
            $now->value + 1,
        );
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

        return [] === $adds
            ? null
            : new Alternative(
                $with,
                $found->value - $now->value,
                $adds,
            );
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
        bool $isLast = false,
    ): ?Found {
        $rules = $this->rules($known, $brief->facts, $brief->limits);
        $objective = new Objective($this->catalogue, $brief->goals, $brief->weights);
        $pause = $this->pause($known, $brief->facts);
        $found = (
            new Search(
                $groups,
                new Compiler($rules, $objective),
                $objective,
                $brief->limits,
                pause: $pause,
                mostWork: $isLast ? self::WORK_IN_LESS_TIME : Search::MOST_WORK,
            )
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

        return null === $found || $found->isProved() || $isLast
            ? $found
            : $this->orOfLessTime($found, $brief, $groups, $known);
    }

    /**
     * What is possible in less time is possible here: a search that was cut short must not come back with less
     * than that.
     *
     * @param list<OptionGroup> $groups
     */
    private function orOfLessTime(
        Found $found,
        Brief $brief,
        array $groups,
        KnownFacts $known,
    ): Found {
        $minutes = $brief->limits->minutes - self::MORE_MINUTES;
        $shorter = $minutes < self::MORE_MINUTES
            ? null
            : $this->search(
                $brief->withLimits($brief->limits->withMinutes($minutes)),
                $groups,
                $known,
                $found->value + 1,
                isLast: true,
            );

        return null === $shorter
            ? $found
            : new Found($shorter->items, $shorter->value, $found->bound, $found->nodes);
    }

    private function rules(
        KnownFacts $known,
        ClientFacts $facts,
        Limits $limits,
    ): SittingRules {
        return SittingRules::for(
            $limits,
            HandsAtWork::from($this->catalogue, $known, $facts),
        );
    }

    /** Shaking loose is replaced by a still rest where a quick movement or the shoulder speaks against it. */
    private function pause(KnownFacts $known, ClientFacts $facts): ?Item
    {
        $rung = $this->catalogue->pause();
        if (null === $rung) {
            return null;
        }
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
            $rung->dosing->start,
            new Phrase('reason.pause'),
            block: null,
            variant: $still ? new Phrase('variant.still_rest') : null,
            isPause: true,
        );
    }

    /**
     * @param list<OptionGroup> $groups
     *
     * @return non-empty-list<Phrase>
     */
    private function obstacles(Brief $brief, array $groups): array
    {
        $reasons = [];
        if (\in_array(Decided::EVERYTHING, $brief->facts->decided->suspended, true)) {
            return [new Phrase('nothing_fits.suspended')];
        }
        foreach ($brief->placements->ladders as $placed) {
            foreach ($placed->next->screening ?? [] as $block) {
                $reasons[$block->question->id] = $block->words();
            }
        }
        if ([] !== $reasons) {
            return array_values($reasons);
        }
        foreach ($brief->placements->ladders as $placed) {
            if (LadderState::Measure === $placed->state) {
                $reasons[] = new Phrase(
                    'nothing_fits.measure',
                    ['ladder' => $placed->ladder->name],
                );
            }
        }
        $pins = array_map(
            static fn (Item $i): string => $i->rung->name,
            $brief->edits->pinned,
        );
        if ([] !== $pins) {
            return [
                new Phrase('nothing_fits.kept', [
                    'items' => Joint::Comma->joining($pins),
                    'minutes' => $brief->limits->minutes,
                ]),
            ];
        }

        return [...$this->missingParts($brief, $groups), ...$reasons];
    }

    /**
     * Which part of a sitting cannot be had, with the rung that comes nearest; else it is the minutes.
     *
     * @param list<OptionGroup> $groups
     *
     * @return non-empty-list<Phrase>
     */
    private function missingParts(Brief $brief, array $groups): array
    {
        $items = array_merge(
            ...array_map(
                static fn (OptionGroup $g): array => $g->options[0]->items,
                $groups,
            ),
        );
        $works = array_filter(
            $items,
            static fn (Item $i): bool => !$i->isFrame() && !$i->isPause,
        );
        if ([] === $works) {
            return [new Phrase('nothing_fits.no_work')];
        }
        $reasons = [];
        foreach (
            [
                [SittingRole::WarmUp, static fn (Item $i): bool => $i->isWarmUp()],
                [SittingRole::CoolDown, static fn (Item $i): bool => $i->isCoolDown()],
            ] as [$role, $is]
        ) {
            if ([] === array_filter($items, $is)) {
                $reasons[] = self::noneOf($role, $brief->placements);
            }
        }

        return [] === $reasons
            ? [new Phrase('nothing_fits.minutes', ['minutes' => $brief->limits->minutes])]
            : $reasons;
    }

    private static function noneOf(SittingRole $role, Placements $placements): Phrase
    {
        $part = SittingRole::WarmUp === $role ? 'start' : 'end';
        $near = [];
        foreach ($placements->ladders as $placed) {
            $next = $placed->next;
            if (null !== $next && $next->rung->sitting->role === $role) {
                $near[] = new Phrase(
                    'nothing_fits.near',
                    ['rung' => $next->rung->name, 'state' => $next->state->value],
                );
            }
        }

        return [] === $near
            ? new Phrase('nothing_fits.none_fits', ['part' => $part])
            : new Phrase(
                'nothing_fits.none_allowed',
                ['part' => $part, 'near' => Joint::Semicolon->joining($near)],
            );
    }
}
