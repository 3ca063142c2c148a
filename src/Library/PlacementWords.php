<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\Unit;
use HandGarden\Core\Placement\Needed;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\Screening\ScreeningBlock;
use HandGarden\Core\Words\Joint;
use HandGarden\Web\Wording;

/** Says what a placement found. */
final class PlacementWords
{
    /** @var array<string, string> rungs of a ladder share most of what is asked of a hand */
    private array $said = [];

    public function __construct(
        private readonly CatalogueStore $store,
        private readonly Wording $wording,
        private readonly FactWords $facts,
    ) {
    }

    /** One fact: 'Wrist held up: 4 s, needs at least 5 s'. */
    public function finding(Finding $finding, Side $placed): string
    {
        $isOwn = $finding->side === $placed
            || !$this->store->get()->vocabulary->isSided($finding->atom->code);
        $found = $finding->found;
        $key = serialize([
            (string) $finding->atom,
            \is_float($found) ? (string) $found : $found,
            $finding->truth,
            $finding->negated,
            $isOwn ? null : $finding->side,
        ]);

        return $this->said[$key] ??= $this->saidOf($finding, $isOwn);
    }

    private function saidOf(Finding $finding, bool $isOwn): string
    {
        $atom = $finding->atom;
        $whose = $isOwn ? '' : $this->wording->word('finding.whose', ['side' => $finding->side->value]);
        $name = 'tryout' === $atom->code
            ? $this->wording->word(
                'fact.tryout_of',
                ['rung' => $this->facts->rungName((string) $atom->argument)],
            )
            : $this->facts->name($atom->code, $atom->argument);

        return $this->wording->word(
            'finding.says',
            ['fact' => $name.$whose, 'is' => $this->found($finding)],
        );
    }

    private function found(Finding $finding): string
    {
        $atom = $finding->atom;
        $found = $finding->found;

        return match (true) {
            'tryout' === $atom->code => null === $found
                ? $this->wording->word('finding.tryout_missing')
                : $this->wording->word('finding.tryout', ['found' => (string) $found]),
            null === $atom->comparison => $this->answer(null === $found ? null : true === $found),
            default => $this->amount($atom->code, $found).$this->need($finding),
        };
    }

    private function answer(?bool $is): string
    {
        $found = match ($is) {
            true => 'yes',
            false => 'no',
            null => 'unknown',
        };

        return $this->wording->word('finding.answer', ['found' => $found]);
    }

    public function placed(RungPlacement $placed, Side $side): string
    {
        $parts = array_map(fn (Finding $f): string => $this->finding($f, $side), $placed->findings);
        $screening = array_map(
            static fn (ScreeningBlock $block) => $block->words(),
            $placed->screening,
        );
        $cautions = array_map(static fn (Caution $caution): string => $caution->phrase, $placed->blockedBy);

        return match (true) {
            [] !== $screening => $this->wording->say(Joint::Sentences->joining($screening)),
            [] !== $cautions => $this->wording->word('placed.blocked', [
                'cautions' => $this->wording->say(Joint::Semicolon->joining($cautions)),
                'findings' => $this->wording->say(Joint::Semicolon->joining($parts)),
            ]),
            $placed->ladderEndsBefore => $this->wording->word(
                'placed.ends',
                ['findings' => $this->wording->say(Joint::Either->joining($parts))],
            ),
            [] !== $parts => $this->wording->say(Joint::Semicolon->joining($parts)),
            RungState::NoFit === $placed->state => $this->wording->word('placed.no_fit'),
            RungState::In === $placed->state => $this->wording->word('placed.shown_above'),
            default => $this->wording->word('placed.below_first'),
        };
    }

    public function needed(Needed $needed): string
    {
        return 'tryout' === $needed->code
            ? $this->wording->word(
                'fact.try_out',
                ['rung' => $this->facts->rungName((string) $needed->argument)],
            )
            : $this->facts->name($needed->code, $needed->argument);
    }

    private function amount(string $code, float|bool|string|null $found): string
    {
        return match (true) {
            null === $found => $this->wording->word('finding.not_measured'),
            \is_bool($found) => $this->answer($found),
            \is_string($found) => $found,
            is_nan($found) => $this->wording->word('finding.at_no_angle'),
            Unit::Grade === $this->store->get()->vocabulary->unitOf($code) => ToneGrade::fromRank(
                $found,
            )->value,
            default => round($found).$this->facts->unit($code),
        };
    }

    private function need(Finding $finding): string
    {
        $comparison = $finding->atom->comparison;
        if ($finding->negated || Truth::True === $finding->truth || null === $comparison) {
            return '';
        }

        return $this->wording->word(
            'finding.needs',
            ['wanted' => $this->facts->wanted($comparison, $finding->atom)],
        );
    }
}
