<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** Findings of single parts: the small muscles of the hand, the thumb, a hand that curls. */
final readonly class PartFindings
{
    public function __construct(
        private Settings $settings,
        private HandState $hand,
    ) {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        return [$this->intrinsics(), $this->thumb(), $this->curling()];
    }

    private function intrinsics(): Finding
    {
        $tight = $because = $needs = [];
        foreach (Digit::fingers() as $digit) {
            $straight = $this->hand->number('pip_mcp_straight', $digit->value);
            $bent = $this->hand->number('pip_mcp_bent', $digit->value);
            if (null === $straight || null === $bent) {
                $needs[] = null === $straight
                    ? 'pip_mcp_straight:'.$digit->value
                    : 'pip_mcp_bent:'.$digit->value;
                continue;
            }
            $because[] = new Phrase('limit.because.pip', [
                'digit' => $digit->value,
                'straight' => round($straight),
                'bent' => round($bent),
            ]);
            if ($bent - $straight >= $this->settings->intrinsicDegrees) {
                $tight[] = $digit->value;
            }
        }
        $found = [] !== $tight;
        $state = match (true) {
            $found => State::Found,
            [] === $needs => State::NotFound,
            default => State::CannotTell,
        };

        return new Finding(
            'intrinsics',
            $this->hand->side,
            $state,
            $found
                ? new Phrase('limit.intrinsics.title_of', ['fingers' => Joint::Comma->joining($tight)])
                : new Phrase('limit.intrinsics.title'),
            because: $because,
            needs: $found ? [] : $needs,
            meaning: $found ? new Phrase('limit.intrinsics.meaning') : null,
            wouldChange: new Phrase('limit.intrinsics.would_change', [
                'found' => $found ? 'yes' : 'no',
                'degrees' => round($this->settings->intrinsicDegrees),
            ]),
        );
    }

    private function thumb(): Finding
    {
        $trapped = $this->hand->answer('thumb_trapped');
        $out = $this->hand->answer('thumb_out');
        $title = new Phrase('limit.thumb.title');
        if (true === $trapped) {
            return new Finding(
                'thumb',
                $this->hand->side,
                State::Found,
                new Phrase('limit.thumb.title_held'),
                because: [new Phrase('limit.because.thumb_held')],
                needs: [],
                meaning: new Phrase('limit.thumb.meaning_held'),
                wouldChange: new Phrase('limit.thumb.would_let_go'),
            );
        }
        if (false === $out) {
            return new Finding(
                'thumb',
                $this->hand->side,
                State::Found,
                $title,
                because: [new Phrase('limit.because.thumb_resists')],
                needs: null === $trapped ? ['thumb_trapped'] : [],
                meaning: new Phrase(
                    null === $trapped ? 'limit.thumb.meaning_unless_held' : 'limit.thumb.meaning',
                ),
                wouldChange: new Phrase('limit.thumb.would_change'),
            );
        }

        return new Finding(
            'thumb',
            $this->hand->side,
            null === $out ? State::CannotTell : State::NotFound,
            $title,
            because: true === $out ? [new Phrase('limit.because.thumb_out')] : [],
            needs: null === $out ? ['thumb_out'] : [],
        );
    }

    private function curling(): Finding
    {
        $curls = $this->hand->answer('curls');
        if (null === $curls) {
            return new Finding(
                'curls',
                $this->hand->side,
                State::CannotTell,
                new Phrase('limit.curls.title'),
                because: [],
                needs: ['curls'],
            );
        }

        return new Finding(
            'curls',
            $this->hand->side,
            $curls ? State::Found : State::NotFound,
            new Phrase('limit.curls.title'),
            because: [
                new Phrase($curls ? 'limit.because.curls' : 'limit.because.does_not_curl'),
            ],
            needs: [],
            meaning: $curls ? new Phrase('limit.curls.meaning') : null,
            wouldChange: $curls ? new Phrase('limit.curls.would_change') : null,
        );
    }
}
