<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\ToneGroup;

/** What keeps the fingers from opening: tight long flexors, weak extensors, a joint that does not give. */
final readonly class OpeningFindings
{
    public function __construct(
        private Settings $settings,
        private HandState $hand,
    ) {
    }

    public function longFlexors(): Finding
    {
        $title = 'Long finger flexors short or toned';
        $gain = $this->hand->gain(Mode::Passive);
        if (null === $gain) {
            return $this->cannotTell('long-flexors', $title, $this->missingAngles(Mode::Passive));
        }
        $found = $gain['points'] >= $this->settings->gainPoints;

        return new Finding(
            'long-flexors',
            $this->hand->side,
            $found ? State::Found : State::NotFound,
            $title,
            because: [self::gainWords($gain, 'Can be opened')],
            needs: [],
            meaning: $found
                    ? 'Start release with the wrist bent, then raise the wrist angle step by step. The slow and the '
                        .'quick angle tell whether it is length or tone.'
                    : '',
            wouldChange: \sprintf(
                'A gain %s %s points from bending the wrist.',
                $found ? 'under' : 'of',
                $this->settings->gainPoints,
            ),
        );
    }

    public function extensorsUseTheWrist(): Finding
    {
        $title = 'Weak extensors that borrow from the wrist';
        $active = $this->hand->gain(Mode::Active);
        $passive = $this->hand->gain(Mode::Passive);
        if (
            null === $active
            || (null === $passive && $active['points'] >= $this->settings->gainPoints)
        ) {
            return $this->cannotTell(
                'extensors-use-wrist',
                $title,
                [
                    ...$this->missingAngles(Mode::Active),
                    ...(null === $passive ? $this->missingAngles(Mode::Passive) : []),
                ],
            );
        }
        $found = $active['points'] >= $this->settings->gainPoints
            && null !== $passive
            && $passive['points'] < $this->settings->gainPoints;

        return new Finding(
            'extensors-use-wrist',
            $this->hand->side,
            $found ? State::Found : State::NotFound,
            $title,
            because: [
                self::gainWords($active, 'Opens by itself'),
                ...(null === $passive ? [] : [self::gainWords($passive, 'Can be opened')]),
            ],
            needs: [],
            meaning: $found
                ? 'Train opening at the bent wrist angle. This is no sign of tightness.'
                : '',
            wouldChange: \sprintf(
                'An own gain %s %s points, or a passive gain of as much.',
                $found ? 'under' : 'of',
                $this->settings->gainPoints,
            ),
        );
    }

    public function contracture(): Finding
    {
        $title = 'Contracture of the fingers likely';
        $curve = $this->hand->curve(Mode::Passive);
        $spread = $this->hand->spread(ToneGroup::Finger);
        $hard = $this->hand->answer('hard_end', 'fingers');
        $limit = $this->settings->stiffOpeningPercent;
        $because = [];
        foreach ($curve as $angle => $percent) {
            $because[] = \sprintf('can be opened %.0f %% with the wrist at %d°', $percent, $angle);
        }
        if (null !== $spread) {
            $because[] = \sprintf('slow less quick angle %.0f°', $spread);
        }
        if (null !== $hard) {
            $because[] = $hard ? 'the end does not give' : 'the end gives';
        }
        $isAgainst = false === $hard
            || ([] !== $curve && max($curve) >= $limit)
            || (null !== $spread && $spread >= $this->settings->hardSpreadDegrees);
        if (!$isAgainst && (\count($curve) < 2 || null === $spread || null === $hard)) {
            return $this->cannotTell(
                'contracture',
                $title,
                [
                    ...(\count($curve) < 2 ? $this->missingAngles(Mode::Passive) : []),
                    ...(null === $spread ? ['slow_angle:finger', 'catch_angle:finger'] : []),
                    ...(null === $hard ? ['hard_end:fingers'] : []),
                ],
                $because,
            );
        }

        return new Finding(
            'contracture',
            $this->hand->side,
            $isAgainst ? State::NotFound : State::Found,
            $title,
            because: $because,
            needs: [],
            meaning: $isAgainst
                    ? ''
                    : 'No stretching into the block at home; refer for splint or medical review; keep what is free, '
                        .'by positioning.',
            wouldChange: \sprintf(
                '%.0f %% at any wrist angle, a spread of %.0f° or more, or an end that gives.',
                $limit,
                $this->settings->hardSpreadDegrees,
            ),
        );
    }

    public function weakness(): Finding
    {
        $title = 'Weak extensors, or both sides pulling at once';
        $passive = $this->hand->opening(Mode::Passive);
        $active = $this->hand->opening(Mode::Active);
        $lag = $this->hand->meanLagDegrees();
        $because = [];
        if (null !== $passive) {
            $because[] = \sprintf('can be opened %.0f %%', $passive);
        }
        if (null !== $active) {
            $because[] = \sprintf('opens by itself %.0f %%', $active);
        }
        if (null !== $lag) {
            $because[] = \sprintf('mean lag %.0f°', $lag);
        }
        $isFree = null === $passive ? null : $passive >= $this->settings->freeOpeningPercent;
        $isWeak = (null !== $active && $active < $this->settings->weakOpeningPercent)
            || (null !== $lag && $lag >= $this->settings->meanLagDegrees);
        if (false === $isFree) {
            return new Finding(
                'weak-extensors',
                $this->hand->side,
                State::NotFound,
                $title,
                because: $because,
                needs: [],
                meaning: '',
                wouldChange: \sprintf(
                    'Passive opening of %.0f %%: until then stiffness or tone answers first.',
                    $this->settings->freeOpeningPercent,
                ),
            );
        }
        if (null === $isFree || (null === $active && !$isWeak)) {
            return $this->cannotTell(
                'weak-extensors',
                $title,
                [
                    ...(null === $isFree ? ['opening_passive_pct'] : []),
                    ...(null === $active ? ['opening_active_pct'] : []),
                ],
                $because,
            );
        }

        return new Finding(
            'weak-extensors',
            $this->hand->side,
            $isWeak ? State::Found : State::NotFound,
            $title,
            because: $because,
            needs: [],
            meaning: $isWeak ? 'Active opening: tapping and light resistance as a cue.' : '',
            wouldChange: \sprintf(
                'Own opening %s %.0f %% with a mean lag %s %.0f°.',
                $isWeak ? 'of' : 'under',
                $this->settings->weakOpeningPercent,
                $isWeak ? 'under' : 'of',
                $this->settings->meanLagDegrees,
            ),
        );
    }

    /** @param array{points: float, best: float, bestAt: int, plain: float, plainAt: int} $gain */
    private static function gainWords(array $gain, string $what): string
    {
        return \sprintf(
            '%s %.0f %% with the wrist at %d° and %.0f %% at %d°: %+.0f points',
            $what,
            $gain['best'],
            $gain['bestAt'],
            $gain['plain'],
            $gain['plainAt'],
            $gain['points'],
        );
    }

    /** @return list<string> */
    private function missingAngles(Mode $mode): array
    {
        $curve = $this->hand->curve($mode);
        $code = Mode::Active === $mode ? 'opening_active_pct' : 'opening_passive_pct';
        $missing = array_filter([-30, 0], static fn (int $angle): bool => !isset($curve[$angle]));

        return array_values(array_map(static fn (int $angle): string => $code.':'.$angle, $missing));
    }

    /**
     * @param list<string> $needs
     * @param list<string> $because
     */
    private function cannotTell(
        string $key,
        string $title,
        array $needs,
        array $because = [],
    ): Finding {
        return new Finding(
            $key,
            $this->hand->side,
            State::CannotTell,
            $title,
            because: $because,
            needs: array_values(array_unique($needs)),
        );
    }
}
