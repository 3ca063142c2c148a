<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Phrase;

/** Lost ground, gaps and symptoms for somebody who treats: they stand in every report of their time. */
final class OnTheWay
{
    /** @return list<Sentence> */
    public static function all(Material $of): array
    {
        return [
            ...array_map(MeasureRow::of(...), $of->judged(Judgement::Loss)),
            ...self::gaps($of),
            ...self::pain($of),
            ...self::incidents($of),
        ];
    }

    /** @return list<Sentence> */
    public static function pain(Material $of): array
    {
        $pain = $of->practice->pain;
        if (null === $pain) {
            return [];
        }

        return [new Sentence(
            new Phrase('report.pain', [
                'first' => $pain->first,
                'last' => $pain->last,
                'rises' => $pain->isRise() ? 1 : 0,
            ]),
            [$of->clientFact(), ...$of->practice->facts()],
            isOwed: $pain->isRise(),
        )];
    }

    /** @return list<Sentence> */
    public static function gaps(Material $of): array
    {
        return array_map(static fn (Gap $gap): Sentence => new Sentence(
            new Phrase($gap->isIllness ? 'report.gap_ill' : 'report.gap', [
                'from' => Phrase::day($gap->from),
                'until' => Phrase::day($gap->until),
            ]),
            $gap->facts(),
            isOwed: true,
        ), $of->gaps);
    }

    /** @return list<Sentence> */
    public static function incidents(Material $of): array
    {
        return array_map(static fn (Incident $one): Sentence => new Sentence(
            null === $one->answeredOn
                ? new Phrase('report.incident_open', ['why' => $one->why, 'on' => Phrase::day($one->on)])
                : new Phrase('report.incident', [
                    'why' => $one->why,
                    'on' => Phrase::day($one->on),
                    'answered' => Phrase::day($one->answeredOn),
                ]),
            [$one->fact()],
            isOwed: true,
        ), $of->incidents);
    }
}
