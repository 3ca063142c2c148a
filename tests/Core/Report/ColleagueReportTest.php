<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\MeasureRow;
use HandGarden\Core\Report\Once;
use HandGarden\Core\Report\Paragraph;
use HandGarden\Core\Report\Rating;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Report\Sentence;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** A review tells what is kept and nothing else. */
final class ColleagueReportTest extends TestCase
{
    private const FORBIDDEN = ['improv', 'recover', 'complian', 'will ', 'expected'];

    public function testEveryPartIsThereInItsOrder(): void
    {
        foreach (ReportKind::cases() as $kind) {
            $headings = array_map(
                static fn (Paragraph $p): Heading => $p->heading,
                $kind->author()->of(MadeUpMaterial::of()),
            );
            self::assertSame($kind->headings(), $headings);
            self::assertContains($kind->ownWords(), $headings);
        }
    }

    public function testNoChangeIsCalledOneAndNothingIsForecast(): void
    {
        foreach (Judgement::cases() as $judgement) {
            foreach ([true, false] as $isInjected) {
                $said = self::measures($judgement, $isInjected);
                foreach (self::FORBIDDEN as $word) {
                    self::assertStringNotContainsStringIgnoringCase($word, $said, $judgement->value);
                }
                self::assertSame(Judgement::Gain === $judgement, str_contains($said, 'better'), $said);
                self::assertSame(
                    Judgement::Gain === $judgement,
                    str_contains($said, 'beyond the smallest real difference'),
                    $said,
                );
            }
        }
        self::assertStringContainsString(
            'within measuring error',
            self::measures(Judgement::NoChange, false),
        );
        self::assertStringContainsString(
            'not an effect of training alone',
            self::measures(Judgement::Gain, true),
        );
        self::assertStringContainsString('same tester and position', self::measures(Judgement::Gain, false));
    }

    public function testLostGroundSymptomsAndGapsAreOwed(): void
    {
        $owed = array_map(
            static fn (Sentence $s): string => $s->words->code,
            array_values(array_filter(
                MadeUpMaterial::all(ReportKind::Review, MadeUpMaterial::of(
                    measures: [MadeUpMaterial::measured(Judgement::Loss)],
                    incidents: [MadeUpMaterial::incident()],
                    gaps: [MadeUpMaterial::gap()],
                )),
                static fn (Sentence $s): bool => $s->isOwed,
            )),
        );

        self::assertSame(
            ['report.in_one_line', 'report.gap_ill', 'report.measured', 'report.incident_open'],
            $owed,
        );
    }

    public function testWhatIsMeasuredOfNoHandHasNoPlaceForOne(): void
    {
        $once = new Once('commands_n|||', 'Steps followed', '', '3', on: MadeUpMaterial::day('2026-11-20'));
        self::assertSame(
            'Steps followed: 3 on 20 Nov; not measured again.',
            Said::of(MeasureRow::once($once)->words),
        );
    }

    public function testEveryMeasureRestsOnItsTwoDays(): void
    {
        self::assertSame(
            ['reading:opening||active|right@2026-10-20', 'reading:opening||active|right@2026-11-20'],
            array_map(
                static fn (Fact $f): string => $f->text(),
                MadeUpMaterial::measured(Judgement::Gain)->facts(),
            ),
        );
    }

    public function testHowItGoesIsFeltAndNotMeasured(): void
    {
        self::assertStringContainsString('Felt, not measured.', MadeUpMaterial::said(
            ReportKind::Review,
            MadeUpMaterial::of(ratings: [new Rating('r-1', MadeUpMaterial::day('2026-11-20'), 4, null)]),
        ));
    }

    public function testAFactIsReadBackAsItWasWritten(): void
    {
        $fact = new Fact(FactKind::Reading, 'opening|x:y|active|right@2026-11-20');

        self::assertEquals($fact, Fact::fromText($fact->text()));
        self::assertNull(Fact::fromText('nothing:1'));
        self::assertNull(Fact::fromText('reading:'));
    }

    private static function measures(Judgement $judgement, bool $isInjected): string
    {
        return MadeUpMaterial::said(
            ReportKind::Review,
            MadeUpMaterial::of(measures: [MadeUpMaterial::measured($judgement, $isInjected)]),
            Heading::Measures,
        );
    }
}
