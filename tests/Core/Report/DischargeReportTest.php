<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\KeptDay;
use HandGarden\Core\Report\KeptDose;
use HandGarden\Core\Report\KeptHelp;
use HandGarden\Core\Report\KeptHome;
use HandGarden\Core\Report\KeptWear;
use HandGarden\Core\Report\PlanNow;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Wearing\WearStep;
use HandGarden\Core\Wearing\Worn;
use HandGarden\Core\Words\Joint;
use PHPUnit\Framework\TestCase;

/** What stays at home: all of it is said, and what is not there is not made up. */
final class DischargeReportTest extends TestCase
{
    public function testThePlanToKeepIsWholeInItsParts(): void
    {
        $dose = new KeptDose(
            'Wrist ease-back',
            'right hand',
            Joint::Comma->joining(['hold for 5']),
            [new Fact(FactKind::Dose, 'd-1')],
            heldDays: 4,
        );
        $material = MadeUpMaterial::of(
            measures: [MadeUpMaterial::measured(Judgement::Loss)],
            plan: self::plan(7, 1),
            home: new KeptHome(
                [$dose],
                [new KeptDay(1, ['9:30'], 20, [], routineId: 'r-1')],
                [$dose],
                [new KeptWear(
                    'w-1',
                    Worn::Band,
                    Side::Right,
                    '',
                    time: WearStep::of(10),
                    fitDueOn: MadeUpMaterial::day('2027-05-01'),
                )],
                helpers: [new KeptHelp(
                    'Grandson',
                    ['Wrist ease-back'],
                    MadeUpMaterial::day('2027-01-19'),
                    ['so-1'],
                )],
                signs: ['Pain: stop that exercise.'],
            ),
        );
        $said = static fn (Heading $at): string => MadeUpMaterial::said(
            ReportKind::Discharge,
            $material,
            $at,
        );

        self::assertSame(
            'Wrist ease-back, right hand: hold for 5. Held on 4 days.',
            $said(Heading::Reached),
        );
        self::assertStringContainsString('worse', $said(Heading::OnTheWay));
        self::assertStringContainsString(
            'One exercise waits until somebody has looked',
            $said(Heading::Keeps),
        );
        self::assertSame('Monday: 9:30, 20 minutes. all of it.', $said(Heading::Week));
        self::assertStringContainsString('Wrist ease-back', $said(Heading::BadDays));
        self::assertStringContainsString(
            'The band, right hand, when the hand is warm: 10 minutes.',
            $said(Heading::Worn),
        );
        self::assertStringContainsString(
            'Grandson may do this with the hands until 19 Jan',
            $said(Heading::Helpers),
        );
        self::assertStringContainsString('Pain: stop that exercise.', $said(Heading::ComeBack));
        self::assertStringContainsString('Emergency: 112.', $said(Heading::ComeBack));
        self::assertStringContainsString('by 1 May', $said(Heading::Again));
        self::assertStringContainsString('shown the exercises again by 19 Jan', $said(Heading::Again));
    }

    public function testWithoutAPlanNothingIsToldToGoOn(): void
    {
        $material = MadeUpMaterial::of();
        foreach ([Heading::Reached, Heading::Keeps, Heading::Week, Heading::BadDays, Heading::Again] as $heading) {
            self::assertSame('', MadeUpMaterial::said(ReportKind::Discharge, $material, $heading));
        }
        $waits = MadeUpMaterial::said(
            ReportKind::Discharge,
            MadeUpMaterial::of(plan: self::plan(0, 7)),
            Heading::Keeps,
        );
        self::assertStringContainsString('The exercises wait until we have looked', $waits);
    }

    private static function plan(int $open, int $waiting): PlanNow
    {
        return new PlanNow('r-1', $open, $waiting, 20, daysPerWeek: 5, blockId: null, ends: null);
    }
}
