<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Report\ColleagueReport;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\Gap;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\Incident;
use HandGarden\Core\Report\Material;
use HandGarden\Core\Report\Measured;
use HandGarden\Core\Report\Paragraph;
use HandGarden\Core\Report\Rating;
use HandGarden\Core\Report\Sentence;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** A review tells what is kept and nothing else. */
final class ColleagueReportTest extends TestCase
{
    private const FORBIDDEN = ['improv', 'recover', 'complian', 'will ', 'expected'];

    public function testEveryPartIsThereInItsOrder(): void
    {
        $headings = array_map(
            static fn (Paragraph $p): Heading => $p->heading,
            (new ColleagueReport())->of(self::material()),
        );

        self::assertSame(Heading::cases(), $headings);
    }

    public function testNoChangeIsCalledOneAndNothingIsForecast(): void
    {
        foreach (Judgement::cases() as $judgement) {
            foreach ([true, false] as $isInjected) {
                $said = self::said(
                    Heading::Measures,
                    self::material(measures: [self::measured($judgement, $isInjected)]),
                );
                foreach (self::FORBIDDEN as $word) {
                    self::assertStringNotContainsStringIgnoringCase($word, $said, $judgement->value);
                }
                self::assertSame(
                    Judgement::Gain === $judgement,
                    str_contains($said, 'beyond the smallest real difference'),
                    $said,
                );
            }
        }
        self::assertStringContainsString('within measuring error', self::said(
            Heading::Measures,
            self::material(measures: [self::measured(Judgement::NoChange, false)]),
        ));
        self::assertStringContainsString('not an effect of training alone', self::said(
            Heading::Measures,
            self::material(measures: [self::measured(Judgement::Gain, true)]),
        ));
    }

    public function testLostGroundSymptomsAndGapsAreOwed(): void
    {
        $material = self::material(
            measures: [self::measured(Judgement::Loss, false)],
            incidents: [new Incident(
                'alert-1',
                Phrase::own('Pain of 8.'),
                self::day('2026-11-10'),
                answeredOn: null,
            )],
            gaps: [new Gap(self::day('2026-11-03'), self::day('2026-11-16'), true, ['s-1'])],
        );
        $owed = array_map(
            static fn (Sentence $s): string => $s->words->code,
            array_values(array_filter(self::all($material), static fn (Sentence $s): bool => $s->isOwed)),
        );

        self::assertSame(
            ['report.in_one_line', 'report.gap_ill', 'report.loss', 'report.incident_open'],
            $owed,
        );
    }

    public function testEverySentenceRestsOnSomethingAndEveryMeasureOnItsTwoDays(): void
    {
        $material = self::material(
            measures: [self::measured(Judgement::Gain, false)],
            ratings: [new Rating('r-1', self::day('2026-11-20'), 4, null)],
        );
        self::assertSame(
            ['client', 'client', 'client', 'reading', 'review'],
            array_map(static fn (Sentence $s): string => $s->facts[0]->kind->value, self::all($material)),
        );
        self::assertSame(
            ['reading:opening||active|right@2026-10-20', 'reading:opening||active|right@2026-11-20'],
            array_map(
                static fn (Fact $f): string => $f->text(),
                self::measured(Judgement::Gain, false)->facts(),
            ),
        );
    }

    public function testAFactIsReadBackAsItWasWritten(): void
    {
        $fact = new Fact(FactKind::Reading, 'opening|x:y|active|right@2026-11-20');

        self::assertEquals($fact, Fact::fromText($fact->text()));
        self::assertNull(Fact::fromText('nothing:1'));
        self::assertNull(Fact::fromText('reading:'));
    }

    /** @return list<Sentence> */
    private static function all(Material $material): array
    {
        return array_merge(...array_map(
            static fn (Paragraph $p): array => $p->sentences,
            (new ColleagueReport())->of($material),
        ));
    }

    private static function said(Heading $heading, Material $material): string
    {
        foreach ((new ColleagueReport())->of($material) as $paragraph) {
            if ($heading === $paragraph->heading) {
                return implode(' ', array_map(
                    static fn (Sentence $s): string => Said::of($s->words),
                    $paragraph->sentences,
                ));
            }
        }

        return '';
    }

    private static function measured(Judgement $judgement, bool $isInjected): Measured
    {
        return new Measured(
            'opening||active|right',
            'Opening',
            'right active',
            '32 %',
            firstOn: self::day('2026-10-20'),
            last: '48 %',
            lastOn: self::day('2026-11-20'),
            difference: '+16',
            mustBeat: '10 %, default',
            judgement: $judgement,
            why: null,
            isInjected: $isInjected,
        );
    }

    /**
     * @param list<Measured> $measures
     * @param list<Incident> $incidents
     * @param list<Gap>      $gaps
     * @param list<Rating>   $ratings
     */
    private static function material(
        array $measures = [],
        array $incidents = [],
        array $gaps = [],
        array $ratings = [],
    ): Material {
        return new Material(
            'client-1',
            Joint::Comma->joining(['Stroke']),
            'right',
            self::day('2026-10-15'),
            until: self::day('2026-11-30'),
            sittings: ['s-1', 's-2'],
            days: 2,
            plannedDays: 30,
            cautions: [],
            measures: $measures,
            steps: [],
            incidents: $incidents,
            gaps: $gaps,
            ratings: $ratings,
            injectedOn: null,
            nextVisit: null,
        );
    }

    private static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day, new \DateTimeZone('UTC'));
    }
}
