<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Progress\PainCourse;
use HandGarden\Core\Report\Gap;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\Incident;
use HandGarden\Core\Report\KeptHome;
use HandGarden\Core\Report\Material;
use HandGarden\Core\Report\Measured;
use HandGarden\Core\Report\Numbers;
use HandGarden\Core\Report\Paragraph;
use HandGarden\Core\Report\PlanNow;
use HandGarden\Core\Report\Practice;
use HandGarden\Core\Report\Rating;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Report\Sentence;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Said;

/** What a report may tell, made up for tests of what it says. */
final class MadeUpMaterial
{
    /**
     * @param list<Measured> $measures
     * @param list<Incident> $incidents
     * @param list<Gap>      $gaps
     * @param list<Rating>   $ratings
     */
    public static function of(
        array $measures = [],
        array $incidents = [],
        array $gaps = [],
        array $ratings = [],
        ?PlanNow $plan = null,
        ?KeptHome $home = null,
    ): Material {
        return self::with(new Practice(['s-1', 's-2'], 2, 30), $measures, $incidents, $gaps, more: [
            'ratings' => $ratings,
            'plan' => $plan,
            'home' => $home,
        ]);
    }

    public static function painful(?PainCourse $pain): Material
    {
        return self::with(new Practice(['s-1', 's-2'], 2, 30, pain: $pain));
    }

    /**
     * @param list<Measured>                                                    $measures
     * @param list<Incident>                                                    $incidents
     * @param list<Gap>                                                         $gaps
     * @param array{ratings?: list<Rating>, plan?: ?PlanNow, home?: ?KeptHome} $more
     */
    private static function with(
        Practice $practice,
        array $measures = [],
        array $incidents = [],
        array $gaps = [],
        array $more = [],
    ): Material {
        return new Material(
            'client-1',
            Joint::Comma->joining(['Stroke']),
            'right',
            self::day('2026-10-15'),
            until: self::day('2026-11-30'),
            numbers: new Numbers('clinic-1', '555 0101', '112'),
            wanted: 'Open my hand to wash it',
            practice: $practice,
            measures: $measures,
            incidents: $incidents,
            gaps: $gaps,
            ratings: $more['ratings'] ?? [],
            plan: $more['plan'] ?? null,
            home: $more['home'] ?? null,
        );
    }

    public static function measured(
        Judgement $judgement,
        bool $isInjected = false,
        string $key = 'opening||active|right',
        string $firstOn = '2026-10-20',
    ): Measured {
        return new Measured(
            $key,
            'Opening',
            'right active',
            '32 %',
            firstOn: self::day($firstOn),
            last: '48 %',
            lastOn: self::day('2026-11-20'),
            difference: '+16',
            mustBeat: '10 %, default',
            judgement: $judgement,
            why: null,
            isInjected: $isInjected,
            sameTester: true,
        );
    }

    public static function incident(?string $answered = null): Incident
    {
        return new Incident(
            'alert-1',
            Phrase::own('Pain of 8.'),
            self::day('2026-11-10'),
            answeredOn: null === $answered ? null : self::day($answered),
        );
    }

    public static function gap(bool $isIllness = true, bool $wasEased = true): Gap
    {
        return new Gap(
            self::day('2026-11-03'),
            self::day('2026-11-16'),
            $isIllness,
            ['s-1'],
            wasEased: $wasEased,
        );
    }

    /** @return list<Sentence> */
    public static function all(ReportKind $kind, Material $material): array
    {
        return array_merge(...array_map(
            static fn (Paragraph $p): array => $p->sentences,
            $kind->author()->of($material),
        ));
    }

    public static function said(ReportKind $kind, Material $material, ?Heading $heading = null): string
    {
        $said = [];
        foreach ($kind->author()->of($material) as $paragraph) {
            foreach (null === $heading || $heading === $paragraph->heading ? $paragraph->sentences : [] as $sentence) {
                $said[] = Said::of($sentence->words);
            }
        }

        return implode("\n", $said);
    }

    public static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day, new \DateTimeZone('UTC'));
    }
}
