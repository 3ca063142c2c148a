<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ScreeningTest extends TestCase
{
    public function testAnUnansweredStopQuestionBlocksAndSaysWhich(): void
    {
        $answers = Cases::allNo();
        unset($answers['new_stroke_signs']);
        $case = Cases::changed('tight-hand', ['screening' => $answers]);

        $placed = (
            new Placer(Cases::catalogue())
        )->place($case->facts, $case->today)->find('base-1', Side::Right);

        self::assertSame(RungState::Blocked, $placed?->next?->state);
        self::assertStringContainsString(
            'Not asked yet: Sudden face droop',
            Said::of($placed->next->screening[0]->words()),
        );
    }

    public function testLimbPainLeavesOnlyCalmItems(): void
    {
        $case = Cases::changed(
            'tight-hand',
            ['screening' => ['limb_pain_syndrome' => 'yes'] + Cases::allNo()],
        );
        foreach (
            (new Placer(Cases::catalogue()))->place($case->facts, $case->today)->ladders as $placed
        ) {
            foreach ($placed->offered() as $rung) {
                self::assertSame('calm', $rung->load->class->value);
            }
        }
    }

    public function testAnOverrideNeverStandsOverAScreeningBlock(): void
    {
        $override = [
            'overrides' => [
                [
                    'ladder' => 'base-1',
                    'side' => 'right',
                    'rung' => 'active-wrist-lift',
                    'note' => 'She lifts it at home',
                ],
            ],
        ];
        $free = Cases::changed('tight-hand', $override);
        $blocked = Cases::changed(
            'tight-hand',
            $override + ['screening' => ['recent_injury' => 'yes'] + Cases::allNo()],
        );
        $placer = new Placer(Cases::catalogue());

        $placed = $placer->place($free->facts, $free->today)->find('base-1', Side::Right);
        self::assertSame('active-wrist-lift', $placed?->standingRung()?->id);
        self::assertSame(
            'helped-lift-hold',
            $placed->standing?->rung->id,
            'the computed rung stays beside it',
        );
        self::assertNull(
            $placer
                ->place($blocked->facts, $blocked->today)
                ->find('base-1', Side::Right)
                ?->standingRung(),
        );
    }

    /**
     * @return iterable<string, array{string, list<string>, bool}> question, what a yes keeps out, whether somebody
     *    beside the client lifts that
     */
    public static function findings(): iterable
    {
        yield 'lost feeling' => [
            'sensation_lost',
            ['palm-flattening-band', 'night-hand-splint', 'rocker-cut-food', 'band-between-fingers'],
            true,
        ];
        yield 'falls' => ['falls', ['standing-rhythm', 'table-push-stand', 'open-hand-walk'], true];
        yield 'blood thinner' => [
            'thinners',
            ['textured-ball-hand-roll', 'release-phase-fingers'],
            false,
        ];
        yield 'joints and skin' => [
            'joints_skin',
            ['band-anchored-pull-up', 'open-hand-weight-lean', 'textured-ball-palm-roll'],
            false,
        ];
        yield 'injection' => [
            'injection_3_days',
            ['textured-ball-palm-roll', 'cream-palm-massage'],
            false,
        ];
        yield 'blood pressure' => [
            'blood_pressure',
            ['weighted-edge-curl', 'soft-squeeze', 'able-push-up'],
            false,
        ];
    }

    /** @param list<string> $out */
    #[DataProvider('findings')]
    public function testAFindingKeepsOutWhatItSpeaksOf(
        string $question,
        array $out,
        bool $liftedBySomebodyBeside,
    ): void {
        $today = new \DateTimeImmutable('2026-11-20');
        $no = array_map(static fn (): array => [Answer::No, $today], Cases::allNo());
        $found = new Screening(
            Cases::catalogue()->screening,
            [$question => [Answer::Yes, $today]] + $no,
        );
        $free = new Screening(Cases::catalogue()->screening, $no);
        foreach ($out as $id) {
            $strand = Cases::catalogue()->ladderOf($id)->strand->value;
            self::assertNotSame(
                [],
                $found->blocks(Cases::catalogue()->rung($id), $strand, false, $today),
                $id,
            );
            self::assertSame(
                $liftedBySomebodyBeside,
                [] === $found->blocks(Cases::catalogue()->rung($id), $strand, true, $today),
                $id,
            );
            self::assertSame(
                [],
                $free->blocks(Cases::catalogue()->rung($id), $strand, false, $today),
                $id,
            );
        }
    }

    public function testAnAnswerIsAskedAgainAfter90Days(): void
    {
        $today = new \DateTimeImmutable('2026-11-20');
        $screening = new Screening(
            Cases::catalogue()->screening,
            [
                'falls' => [Answer::No, $today->modify('-90 days')],
                'neglect' => [Answer::No, $today->modify('-91 days')],
            ],
        );

        self::assertSame(Answer::No, $screening->answer('falls', $today));
        self::assertSame(Answer::NotAsked, $screening->answer('neglect', $today));
    }

    public function testLostFeelingShortensStretchesAndNothingElse(): void
    {
        $today = new \DateTimeImmutable('2026-11-20');
        $answers = array_map(static fn (): array => [Answer::No, $today], Cases::allNo());
        $answers['sensation_lost'] = [Answer::Yes, $today];
        $screening = new Screening(Cases::catalogue()->screening, $answers);

        self::assertSame(
            10,
            $screening->maxHoldSeconds(Cases::catalogue()->rung('staged-joint-opener'), $today),
        );
        self::assertNull(
            $screening->maxHoldSeconds(Cases::catalogue()->rung('helped-lift-hold'), $today),
        );
    }

    public function testTheDayOfAnInjectionAnswersItsQuestionAndALaterYesStands(): void
    {
        $today = new \DateTimeImmutable('2026-11-20');
        $ask = static fn (
            ?string $injected,
            Answer $given = Answer::NotAsked,
            string $on = '2026-11-20',
        ): Answer => (
            new Screening(
                Cases::catalogue()->screening,
                ['injection_3_days' => [$given, new \DateTimeImmutable($on)]],
                null === $injected ? null : new \DateTimeImmutable($injected),
            )
        )->answer('injection_3_days', $today);

        self::assertSame(Answer::NotAsked, $ask(null));
        self::assertSame(Answer::Yes, $ask('2026-11-17', Answer::No), 'the third day still counts');
        self::assertSame(Answer::No, $ask('2026-11-16'));
        self::assertSame(Answer::No, $ask('2026-11-10', Answer::Yes, '2026-11-11'));
        self::assertSame(Answer::Yes, $ask('2026-11-10', Answer::Yes, '2026-11-19'));
    }
}
