<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\ToneGroup;
use HandGarden\Core\Words\Phrase;

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
        $title = new Phrase('limit.long_flexors.title');
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
            because: [self::gainWords($gain, Mode::Passive)],
            needs: [],
            meaning: $found ? new Phrase('limit.long_flexors.meaning') : null,
            wouldChange: new Phrase('limit.long_flexors.would_change', [
                'found' => $found ? 'yes' : 'no',
                'points' => $this->settings->gainPoints,
            ]),
        );
    }

    public function extensorsUseTheWrist(): Finding
    {
        $title = new Phrase('limit.extensors_use_wrist.title');
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
                self::gainWords($active, Mode::Active),
                ...(null === $passive ? [] : [self::gainWords($passive, Mode::Passive)]),
            ],
            needs: [],
            meaning: $found ? new Phrase('limit.extensors_use_wrist.meaning') : null,
            wouldChange: new Phrase('limit.extensors_use_wrist.would_change', [
                'found' => $found ? 'yes' : 'no',
                'points' => $this->settings->gainPoints,
            ]),
        );
    }

    public function contracture(): Finding
    {
        $title = new Phrase('limit.contracture.title');
        $curve = $this->hand->curve(Mode::Passive);
        $spread = $this->hand->spread(ToneGroup::Finger);
        $hard = $this->hand->answer('hard_end', 'fingers');
        $limit = $this->settings->stiffOpeningPercent;
        $because = [];
        foreach ($curve as $angle => $percent) {
            $because[] = new Phrase(
                'limit.because.opened_at',
                ['percent' => round($percent), 'angle' => $angle],
            );
        }
        if (null !== $spread) {
            $because[] = new Phrase('limit.because.spread', ['degrees' => round($spread)]);
        }
        if (null !== $hard) {
            $because[] = new Phrase($hard ? 'limit.because.hard_end' : 'limit.because.soft_end');
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
            meaning: $isAgainst ? null : new Phrase('limit.contracture.meaning'),
            wouldChange: new Phrase('limit.contracture.would_change', [
                'percent' => round($limit),
                'degrees' => round($this->settings->hardSpreadDegrees),
            ]),
        );
    }

    public function weakness(): Finding
    {
        $title = new Phrase('limit.weak_extensors.title');
        $passive = $this->hand->opening(Mode::Passive);
        $active = $this->hand->opening(Mode::Active);
        $lag = $this->hand->meanLagDegrees();
        $because = [];
        if (null !== $passive) {
            $because[] = new Phrase('limit.because.can_be_opened', ['percent' => round($passive)]);
        }
        if (null !== $active) {
            $because[] = new Phrase('limit.because.opens_itself', ['percent' => round($active)]);
        }
        if (null !== $lag) {
            $because[] = new Phrase('limit.because.mean_lag', ['degrees' => round($lag)]);
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
                wouldChange: new Phrase(
                    'limit.weak_extensors.would_open',
                    ['percent' => round($this->settings->freeOpeningPercent)],
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
            meaning: $isWeak ? new Phrase('limit.weak_extensors.meaning') : null,
            wouldChange: new Phrase('limit.weak_extensors.would_change', [
                'found' => $isWeak ? 'yes' : 'no',
                'percent' => round($this->settings->weakOpeningPercent),
                'degrees' => round($this->settings->meanLagDegrees),
            ]),
        );
    }

    /** @param array{points: float, best: float, bestAt: int, plain: float, plainAt: int} $gain */
    private static function gainWords(array $gain, Mode $mode): Phrase
    {
        return new Phrase('limit.because.gain', [
            'mode' => $mode->value,
            'best' => round($gain['best']),
            'bestAt' => $gain['bestAt'],
            'plain' => round($gain['plain']),
            'plainAt' => $gain['plainAt'],
            'points' => \sprintf('%+.0f', $gain['points']),
        ]);
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
     * @param list<Phrase> $because
     */
    private function cannotTell(
        string $key,
        Phrase $title,
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
