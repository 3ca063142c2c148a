<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\ToneGroup;

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
    public function of(ToneGroup $group): ?Finding
    {
        $slow = $this->hand->number('slow_angle', $group->value);
        $catch = $this->hand->number('catch_angle', $group->value);
        $grade = $this->hand->number($group->gradeCode());
        if (null === $slow && null === $catch && (null === $grade || $grade < 1.0)) {
            return null;
        }
        $key = 'tone-'.$group->value;
        $name = ucfirst($group->label());
        $because = null === $grade
            ? []
            : [
                \sprintf(
                    'grade %s: %s',
                    ToneGrade::fromRank($grade)->value,
                    ToneGrade::fromRank($grade)->meaning(),
                ),
            ];
        if (null === $slow || null === $catch) {
            return new Finding(
                $key,
                $this->hand->side,
                State::CannotTell,
                $name.': contracture or tone',
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
        $because[] = \sprintf(
            'slow angle %.0f°, catch at %.0f°: spread %.0f°',
            $slow,
            $catch,
            $spread,
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
            $because[] = \sprintf('the other hand goes to %.0f°', $full);
        }
        if (null === $isLimited && $spread < $this->settings->toneSpreadDegrees) {
            return new Finding(
                $key,
                $this->hand->side,
                State::CannotTell,
                $name.': is the slow angle limited?',
                because: $because,
                needs: ['other.slow_angle:'.$group->value],
            );
        }
        [$title, $meaning] = match (true) {
            $spread >= $this->settings->toneSpreadDegrees => [
                $name.': tone dominates',
                'Slow sustained work, hands-on release, medical options.',
            ],
            $spread >= $this->settings->hardSpreadDegrees => [
                $name.': length and tone mixed',
                'Slow length work, and the tone options beside it.',
            ],
            default => [
                $name.': contracture likely',
                'No stretching into the block at home; refer; keep what is free.',
            ],
        };
        $found = true === $isLimited || $spread >= $this->settings->toneSpreadDegrees;

        return new Finding(
            $key,
            $this->hand->side,
            $found ? State::Found : State::NotFound,
            $found ? $title : $name.': slow angle not limited',
            because: $because,
            needs: [],
            meaning: $found ? $meaning : '',
            wouldChange: \sprintf(
                'Under %.0f° speaks for contracture, %.0f° and more for tone.',
                $this->settings->hardSpreadDegrees,
                $this->settings->toneSpreadDegrees,
            ),
        );
    }
}
