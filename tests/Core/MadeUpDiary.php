<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core;

use HandGarden\Core\Diary\Entry;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Moment;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Diaries with bad days and good ones, in which no factor does anything, or one that was put in. */
final class MadeUpDiary
{
    public static function begin(): \DateTimeImmutable
    {
        return new \DateTimeImmutable('2026-11-01', new \DateTimeZone('UTC'));
    }

    /**
     * @param ?Factor $cause what makes it worse; null: nothing
     * @param int     $worse points of severity
     *
     * @return list<Entry>
     */
    public static function of(int $days, int $seed, ?Factor $cause = null, int $worse = 0): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $entries = [];
        for ($day = 0; $day < $days; ++$day) {
            $base = $random->getInt(0, 4);
            foreach ([Moment::First, Moment::Second] as $moment) {
                if ($random->getInt(1, 100) <= 10) {
                    continue; // forgotten
                }
                $answers = self::answers($random, $moment);
                $hits = null !== $cause && isset($answers[$cause->value])
                    && ($answers[$cause->value] < $cause->most() / 2) === $cause->isOfTooLittle();
                $entries[] = new Entry(
                    self::begin()->modify("+$day days"),
                    $moment,
                    min(Entry::MOST, $base + $random->getInt(0, 3) + ($hits ? $worse : 0)),
                    $answers,
                );
            }
        }

        return $entries;
    }

    /** @return array<string, float> */
    private static function answers(Randomizer $random, Moment $moment): array
    {
        $answers = [];
        foreach (Factor::usual() as $factor) {
            $isAsked = !$factor->isOfTheMorning() || Moment::First === $moment;
            if ($isAsked && $random->getInt(1, 100) > 5) {
                $steps = (int) ($factor->most() / $factor->step());
                $answers[$factor->value] = $factor->step() * $random->getInt(0, $steps);
            }
        }

        return $answers;
    }
}
