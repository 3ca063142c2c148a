<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Anatomy\Digit;

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
            $because[] = \sprintf(
                '%s PIP bends %.0f° with the knuckle straight, %.0f° with it bent',
                $digit->value,
                $straight,
                $bent,
            );
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
            'Small muscles of the hand tight'.($found ? ': '.implode(', ', $tight) : ''),
            because: $because,
            needs: $found ? [] : $needs,
            meaning: $found
                    ? 'Hook work: knuckles straight, PIP and DIP bent, slowly. Not the knuckle roof, which holds '
                        .'these muscles short.'
                    : '',
            wouldChange: \sprintf(
                'A difference %s %.0f°.',
                $found ? 'under' : 'of',
                $this->settings->intrinsicDegrees,
            ),
        );
    }

    private function thumb(): Finding
    {
        $trapped = $this->hand->answer('thumb_trapped');
        $out = $this->hand->answer('thumb_out');
        $title = 'Thumb in the palm';
        if (true === $trapped) {
            return new Finding(
                'thumb',
                $this->hand->side,
                State::Found,
                $title.', held there by the fingers',
                because: ['the fingers hold the thumb in the palm'],
                needs: [],
                meaning: 'Ease the fingers first, then the thumb.',
                wouldChange: 'Fingers that let the thumb out.',
            );
        }
        if (false === $out) {
            return new Finding(
                'thumb',
                $this->hand->side,
                State::Found,
                $title,
                because: ['the thumb does not come out without resistance'],
                needs: null === $trapped ? ['thumb_trapped'] : [],
                meaning: 'Thumb ladder first'.(
                    null === $trapped ? ', unless the fingers hold it down: look.' : '.'
                ),
                wouldChange: 'A thumb that rests outside the palm.',
            );
        }

        return new Finding(
            'thumb',
            $this->hand->side,
            null === $out ? State::CannotTell : State::NotFound,
            $title,
            because: true === $out ? ['the thumb rests outside, or comes out'] : [],
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
                'Cupped or clawed hand',
                because: [],
                needs: ['curls'],
            );
        }

        return new Finding(
            'curls',
            $this->hand->side,
            $curls ? State::Found : State::NotFound,
            'Cupped or clawed hand',
            because: [
                $curls
                    ? 'rounds and stays folded at rest or one minute after use'
                    : 'does not stay folded; a cramp in one task only is no curling',
            ],
            needs: [],
            meaning: $curls
                    ? 'Short strong flexors, long weak extensors: extension, lifting, spreading and ball on the back '
                        .'of the hand before squeezing; keep the hand flat while it cools. Gripping to hide a tremor '
                        .'is one cause.'
                    : '',
            wouldChange: $curls ? 'A hand that opens again within a minute.' : '',
        );
    }
}
