<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Routine\Item;

/** Between the plain values of the trace and those of the rules. */
final class Told
{
    /** Null: a broken rule does not see it. */
    public static function line(
        Line $line,
        \DateTimeImmutable $begin,
        ?Mutant $mutant,
    ): ?LogLine {
        if (
            (Mutant::S15 === $mutant && $line->arrives > $line->day)
            || (Mutant::S12 === $mutant && $line->isTingling)
        ) {
            return null;
        }
        [$rungId, $hands] = explode('|', $line->key);
        $isDone = $line->reached >= 1.0;
        $tone = $line->isTighter ? ToneAfter::Tighter : ToneAfter::Same;
        $help = null === $line->help ? null : Help::from($line->help);

        return new LogLine(
            Mutant::S24 === $mutant && $line->isCopy ? $line->id.' again' : $line->id,
            'sitting '.$line->day,
            $rungId,
            Hands::from($hands),
            dose: $line->dose,
            day: $begin->modify('+'.$line->day.' days'),
            outcome: $isDone ? Outcome::Done : Outcome::Part,
            repetitions: (int) floor($line->reached * $line->dose->repetitions),
            painBefore: $line->painBefore,
            painAfter: $line->painAfter,
            tone: Mutant::S18 === $mutant ? null : $tone,
            help: Mutant::S17 === $mutant ? $help ?? Help::None : $help,
            compensations: $line->hasTrick && Mutant::S16 !== $mutant ? [Compensation::ShoulderHike] : [],
            fatigue: $line->fatigue,
            newTingling: $line->isTingling,
            errors: (int) round((1.0 - $line->reached) * 10),
            felt: $line->reached < 0.7 ? Felt::TooHard : null,
        );
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Given>
     */
    public static function given(array $items, Chart $chart): array
    {
        $given = [];
        foreach ($items as $item) {
            if ($item->isPause) {
                continue;
            }
            $given[] = new Given(
                $item->rung,
                $item->hands,
                $item->dose,
                $chart->doses[$item->key()] ?? $item->dose,
                seconds: $item->seconds(),
                isFirst: !isset($chart->given[$item->key()]),
            );
            $chart->given[$item->key()] = true;
        }

        return $given;
    }
}
