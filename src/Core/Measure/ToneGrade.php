<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Words\Phrase;

/**
 * Resistance of a muscle group to one passive movement, graded as on the modified Ashworth scale (Bohannon & Smith
 * 1987).
 */
enum ToneGrade: string
{
    case None = '0';
    case Slight = '1';
    case SlightThroughRange = '1+';
    case Marked = '2';
    case Considerable = '3';
    case Rigid = '4';

    /** A place on the order 0 < 1 < 1+ < 2 < 3 < 4, with 1+ as 1.5 so that 'a full grade' is 1. */
    public function rank(): float
    {
        return self::SlightThroughRange === $this ? 1.5 : (float) $this->value;
    }

    /** @return array<int|string, float> by grade */
    public static function ranks(): array
    {
        $ranks = [];
        foreach (self::cases() as $grade) {
            $ranks[$grade->value] = $grade->rank();
        }

        return $ranks;
    }

    public static function fromRank(float $rank): self
    {
        foreach (self::cases() as $grade) {
            if (abs($grade->rank() - $rank) < 0.01) {
                return $grade;
            }
        }

        throw new \OutOfRangeException(
            \sprintf('Expected a rank of 0, 1, 1.5, 2, 3 or 4, got %s.', $rank),
        );
    }

    public function words(): Phrase
    {
        return new Phrase(match ($this) {
            self::None => 'tone_grade.none',
            self::Slight => 'tone_grade.slight',
            self::SlightThroughRange => 'tone_grade.slight_through_range',
            self::Marked => 'tone_grade.marked',
            self::Considerable => 'tone_grade.considerable',
            self::Rigid => 'tone_grade.rigid',
        });
    }
}
