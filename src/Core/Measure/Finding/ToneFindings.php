<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\ToneGroup;
use HandGarden\Core\Words\Phrase;

/**
 * Contracture or tone, by the spread of the slow (R2) and the quick angle (R1) of a group whose slow angle is limited
 * (two-angle method after Tardieu; Boyd & Graham 1999).
 */
final readonly class ToneFindings
{
    public function __construct(
        private Settings $settings,
        private HandState $hand,
        private HandState $other,
    ) {
    }

    /** Null where nothing of the group was measured and no grade speaks of tone. */
    public function for(ToneGroup $group): ?Finding
    {
        $slow = $this->hand->number('slow_angle', $group->value);
        $catch = $this->hand->number('catch_angle', $group->value);
        $grade = $this->hand->number($group->gradeCode());
        if (null === $slow && null === $catch && (null === $grade || $grade < 1.0)) {
            return null;
        }
        $key = 'tone-'.$group->value;
        $because = null === $grade
            ? []
            : [
                new Phrase('limit.because.grade', [
                    'grade' => ToneGrade::fromRank($grade)->value,
                    'meaning' => ToneGrade::fromRank($grade)->words(),
                ]),
            ];
        if (null === $slow || null === $catch) {
            return new Finding(
                $key,
                $this->hand->side,
                State::CannotTell,
                self::title('unknown', $group),
                because: $because,
                needs: array_values(
                    array_filter(
                        [
                            null === $slow ? 'slow_angle:'.$group->value : null,
                            null === $catch ? 'catch_angle:'.$group->value : null,
                        ],
                    ),
                ),
            );
        }
        $spread = $slow - $catch;
        $because[] = new Phrase(
            'limit.because.two_angles',
            ['slow' => round($slow), 'catch' => round($catch), 'spread' => round($spread)],
        );
        $full = $this->other->number('slow_angle', $group->value);
        $hard = null === $group->hardEndPart()
            ? null
            : $this->hand->answer('hard_end', $group->hardEndPart());
        $isLimited = match (true) {
            true === $hard => true,
            null === $full => null,
            default => $full - $slow >= $this->settings->limitedBelowOtherDegrees,
        };
        if (null !== $full) {
            $because[] = new Phrase('limit.because.other_hand', ['degrees' => round($full)]);
        }
        if (null === $isLimited && $spread < $this->settings->toneSpreadDegrees) {
            return new Finding(
                $key,
                $this->hand->side,
                State::CannotTell,
                self::title('limited', $group),
                because: $because,
                needs: ['other.slow_angle:'.$group->value],
            );
        }
        $kind = match (true) {
            $spread >= $this->settings->toneSpreadDegrees => 'tone',
            $spread >= $this->settings->hardSpreadDegrees => 'mixed',
            default => 'contracture',
        };
        $found = true === $isLimited || $spread >= $this->settings->toneSpreadDegrees;

        return new Finding(
            $key,
            $this->hand->side,
            $found ? State::Found : State::NotFound,
            self::title($found ? $kind : 'free', $group),
            because: $because,
            needs: [],
            meaning: $found ? new Phrase('limit.tone.meaning_'.$kind) : null,
            wouldChange: new Phrase('limit.tone.would_change', [
                'hard' => round($this->settings->hardSpreadDegrees),
                'tone' => round($this->settings->toneSpreadDegrees),
            ]),
        );
    }

    private static function title(string $kind, ToneGroup $group): Phrase
    {
        return new Phrase('limit.tone.title_'.$kind, ['group' => $group->value]);
    }
}
