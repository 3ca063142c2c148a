<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class ProgressTest extends TestCase
{
    private const TODAY = '2026-11-20';

    private static int $made = 0;

    public function testAHoldMetOnTwoDaysGrowsByOneSecond(): void
    {
        $proposal = $this->one(
            'helped-lift-hold',
            [$this->line(4), $this->line(3), $this->line(1)],
        );

        self::assertSame(ProposalKind::Advance, $proposal?->kind);
        self::assertSame('advance.hold-count', $proposal->ruleId);
        self::assertSame(6, $proposal->to?->holdSeconds);
        self::assertCount(3, $proposal->evidence);
    }

    public function testThreeSittingsOnOneDayAreOneDay(): void
    {
        self::assertNull(
            $this->one(
                'helped-lift-hold',
                [$this->line(1), $this->line(1), $this->line(1)],
            ),
        );
    }

    public function testTwoSittingsAreTooFewForAStepUp(): void
    {
        self::assertNull($this->one('helped-lift-hold', [$this->line(3), $this->line(1)]));
    }

    public function testWhatWasDoneLongerAgoThanTheWindowDoesNotCount(): void
    {
        self::assertNull(
            $this->one(
                'helped-lift-hold',
                [$this->line(20), $this->line(18), $this->line(3)],
            ),
        );
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function notMet(): iterable
    {
        yield 'held 4 of 5 seconds' => [['hold' => 4]];
        yield 'one repetition short' => [['repetitions' => 7]];
        yield 'part of it' => [['outcome' => Outcome::Part]];
        yield 'shoulder hiked' => [['compensations' => [Compensation::ShoulderHike]]];
        yield 'more help than before' => [['help' => Help::Much]];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('notMet')]
    public function testASittingThatMissedTheTargetIsNoEvidence(array $change): void
    {
        $proposal = $this->one(
            'helped-lift-hold',
            [$this->line(5), $this->line(3, $change), $this->line(1, $change)],
        );

        self::assertFalse($proposal?->kind->isMore() ?? false);
    }

    public function testWhatWasMarkedForAWholeClassIsNoEvidenceAndTakesNoneAway(): void
    {
        $marked = fn (int $ago): LogLine => $this->line($ago, ['asShown' => true]);

        self::assertNull($this->one('helped-lift-hold', [$marked(4), $marked(3), $marked(2), $marked(1)]));
        self::assertNull(
            $this->one('helped-lift-hold', [$this->line(4), $this->line(3), $marked(1)]),
            'it is none of the three sittings',
        );
        $proposal = $this->one(
            'helped-lift-hold',
            [$this->line(5), $this->line(4), $marked(3), $this->line(2), $marked(1)],
        );
        self::assertSame(ProposalKind::Advance, $proposal?->kind, 'what was told counts as without it');
        self::assertCount(3, $proposal->evidence);
    }

    public function testWhatHurtInAClassCountsLikeAnyOtherPain(): void
    {
        $hurt = $this->line(1, ['asShown' => true, 'painBefore' => 1, 'painAfter' => 5]);
        $proposal = $this->one('helped-lift-hold', [$this->line(5), $this->line(4), $this->line(3), $hurt]);

        self::assertSame(ProposalKind::Ease, $proposal?->kind);
    }

    public function testASymptomInTheWindowCancelsAnyAdvance(): void
    {
        foreach (
            [
                ['painAfter' => 4, 'painBefore' => 2],
                ['tone' => ToneAfter::Tighter],
                ['painAfter' => 3, 'painBefore' => 1],
            ] as $symptom
        ) {
            $proposal = $this->one(
                'helped-lift-hold',
                [$this->line(9, $symptom), $this->line(5), $this->line(3), $this->line(1)],
            );
            self::assertFalse($proposal?->kind->isMore() ?? false);
        }
    }

    public function testPainOfFourThatRoseEasesByOneDoseStep(): void
    {
        $proposal = $this->one(
            'helped-lift-hold',
            [$this->line(5), $this->line(3), $this->line(
                1,
                ['painBefore' => 3, 'painAfter' => 4],
            )],
        );

        self::assertSame(ProposalKind::Ease, $proposal?->kind);
        self::assertSame(4, $proposal->to?->holdSeconds);
    }

    public function testAtTheLeastDoseTheRungBelowIsProposed(): void
    {
        $dose = Dose::from(1, 4, 1, 4, holdSeconds: 1, restSeconds: 0);
        $proposal = $this->one(
            'helped-lift-hold',
            [$this->line(1, ['painBefore' => 1, 'painAfter' => 4], $dose)],
            $dose,
        );

        self::assertSame(ProposalKind::RungBelow, $proposal?->kind);
        self::assertSame('side-rest-wrist-back', $proposal->toRungId);
    }

    /** @return iterable<string, array{array<string, mixed>, ProposalKind}> */
    public static function suspending(): iterable
    {
        yield 'pain of 7 afterwards' => [
            ['painBefore' => 6, 'painAfter' => 7],
            ProposalKind::Suspend,
        ];
        yield 'new tingling' => [['newTingling' => true], ProposalKind::Suspend];
        yield 'dizzy' => [['systemic' => true], ProposalKind::SuspendRoutine];
    }

    /** @param array<string, mixed> $symptom */
    #[DataProvider('suspending')]
    public function testWhatIsSeriousSuspends(array $symptom, ProposalKind $kind): void
    {
        self::assertSame(
            $kind,
            $this->all(
                'helped-lift-hold',
                [$this->line(3), $this->line(1, $symptom)],
            )[0]->kind,
        );
    }

    public function testPainTheNextMorningCountsAsFourAndUpByOne(): void
    {
        self::assertSame(
            ProposalKind::Ease,
            $this->one('helped-lift-hold', [$this->line(1, ['hurtLater' => true])])?->kind,
        );
    }

    public function testTighterToneTwiceMakesAnAttemptLighter(): void
    {
        $tighter = ['tone' => ToneAfter::Tighter];

        self::assertNull($this->one(
            'helped-lift-hold',
            [$this->line(3), $this->line(1, $tighter)],
        ));
        self::assertSame(
            ProposalKind::Lighter,
            $this->one(
                'helped-lift-hold',
                [$this->line(3, $tighter), $this->line(1, $tighter)],
            )?->kind,
        );
    }

    public function testTricksInMoreThanAThirdOfSittingsAskForLess(): void
    {
        $trick = ['compensations' => [Compensation::TrunkLean]];

        self::assertNull(
            $this->one(
                'helped-lift-hold',
                [
                    $this->line(7, ['hold' => 3]),
                    $this->line(5, ['hold' => 3]),
                    $this->line(1, $trick),
                ],
            ),
        );
        self::assertSame(
            ProposalKind::Lighter,
            $this->one(
                'helped-lift-hold',
                [$this->line(7), $this->line(5, $trick), $this->line(1, $trick)],
            )?->kind,
        );
    }

    public function testAtTheTopOfTheLastRuleTheNextFittingRungIsProposed(): void
    {
        $top = Dose::from(1, 15, 1, 4, holdSeconds: 10, restSeconds: 0);
        $proposal = $this->one(
            'helped-lift-hold',
            [$this->line(5, [], $top), $this->line(3, [], $top), $this->line(1, [], $top)],
            $top,
        );

        self::assertSame(ProposalKind::NextRung, $proposal?->kind);
        self::assertSame('pressed-lift-hold', $proposal->toRungId);
    }

    public function testAChainStaysAtItsTopAsUpkeep(): void
    {
        $top = Dose::from(2, 1, 1, 10, holdSeconds: 30, restSeconds: 0);

        self::assertNull(
            $this->one(
                'staged-joint-opener',
                [
                    $this->line(5, [], $top, 'staged-joint-opener'),
                    $this->line(3, [], $top, 'staged-joint-opener'),
                    $this->line(1, [], $top, 'staged-joint-opener'),
                ],
                $top,
            ),
        );
    }

    public function testAWeekAwayBeginsLowerAndTwoWeeksAwayMeasuresAgain(): void
    {
        $grown = Cases::catalogue()->rung('helped-lift-hold')->dosing->start->withHold(7);
        self::assertSame(
            ProposalKind::StepDownAfterBreak,
            $this->all('helped-lift-hold', [$this->line(8, [], $grown)], $grown)[0]->kind,
        );
        self::assertSame(
            [],
            $this->all('helped-lift-hold', [$this->line(8)]),
            'never below the start',
        );
        self::assertSame(
            ProposalKind::PlaceAgain,
            $this->all('helped-lift-hold', [$this->line(14)])[0]->kind,
        );
        self::assertSame([], $this->all('helped-lift-hold', [$this->line(6)]));
    }

    public function testTwoVeryTiringSittingsShortenTheNext(): void
    {
        self::assertSame(
            ProposalKind::Shorten,
            $this->all(
                'helped-lift-hold',
                [$this->line(3, ['fatigue' => 8]), $this->line(1, ['fatigue' => 9])],
            )[0]->kind,
        );
        self::assertSame(
            [],
            $this->all(
                'helped-lift-hold',
                [$this->line(3, ['fatigue' => 9]), $this->line(1, ['fatigue' => 5])],
            ),
        );
    }

    public function testTwoWeeksWithoutAStepAtGoodAttendanceAreAPlateau(): void
    {
        $short = ['hold' => 4];
        $lines = array_map(
            fn (int $ago): LogLine => $this->line($ago, $short),
            [16, 13, 12, 10, 9, 7, 6, 4, 2, 1],
        );

        self::assertSame(
            ProposalKind::Plateau,
            $this->one('helped-lift-hold', $lines)?->kind,
        );
    }

    public function testRepetitionsStopAtFifteenBeforeTwenty(): void
    {
        $steps = new DoseSteps(Cases::catalogue()->rung('active-wrist-lift'));
        $dose = Cases::catalogue()->rung('active-wrist-lift')->dosing->start;
        $seen = [];
        while (null !== $dose = $steps->up($dose)) {
            $seen[] = $dose->repetitions;
        }

        self::assertSame([10, 12, 14, 15, 17, 19, 20], $seen);
    }

    public function testStepsStayWithinTheRangeOfTheRungBothWays(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $steps = new DoseSteps($rung);
            foreach (['up', 'down'] as $way) {
                $dose = $rung->dosing->start;
                for ($i = 0; $i < 200 && null !== $dose; ++$i) {
                    $rung->dosing->range->check($dose, $rung->id);
                    $next = 'up' === $way ? $steps->up($dose) : $steps->down($dose);
                    if (null !== $next) {
                        self::assertTrue(
                            'up' === $way ? $dose->isAtMost($next) : $next->isAtMost($dose),
                            $rung->id.' '.$way,
                        );
                        self::assertNotEquals($dose, $next);
                    }
                    $dose = $next;
                }
                self::assertNull($dose, $rung->id.' '.$way.' does not end');
            }
        }
    }

    /** The promise that matters most: whatever else is in the log, a worse symptom never yields more. */
    public function testWorseSymptomsNeverYieldAHigherDose(): void
    {
        for ($seed = 0; $seed < 400; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $rung = Cases::catalogue()->rungs()[
                $random->getInt(0, \count(Cases::catalogue()->rungs()) - 1)
            ];
            $lines = [];
            for ($ago = 13; $ago > 0; $ago -= $random->getInt(1, 4)) {
                $lines[] = $this->randomLine(
                    $random,
                    $ago,
                    $rung->dosing->start,
                    $rung->id,
                );
            }
            $at = $random->getInt(0, \count($lines) - 1);
            $how = $random->getInt(0, 4);
            $worse = array_map(
                fn (int $i, LogLine $l): LogLine => $i === $at ? $this->worsened($l, $how) : $l,
                array_keys($lines),
                $lines,
            );
            $before = $this->weight(
                $this->all($rung->id, $lines, $rung->dosing->start),
                $rung->dosing->start,
            );
            $after = $this->weight(
                $this->all($rung->id, $worse, $rung->dosing->start),
                $rung->dosing->start,
            );

            self::assertLessThanOrEqual($before, $after, "seed $seed, {$rung->id}");
        }
    }

    public function testTheSameLogGivesTheSameProposals(): void
    {
        $lines = [
            $this->line(5),
            $this->line(3),
            $this->line(1, ['painAfter' => 5, 'painBefore' => 2]),
        ];

        self::assertEquals(
            $this->all('helped-lift-hold', $lines),
            $this->all('helped-lift-hold', $lines),
        );
    }

    /** @param list<Proposal> $proposals */
    private function weight(array $proposals, Dose $now): float
    {
        $weight = 0.0;
        foreach ($proposals as $proposal) {
            $to = $proposal->to ?? $now;
            $weight += match (true) {
                ProposalKind::Suspend === $proposal->kind, ProposalKind::SuspendRoutine === $proposal->kind => -1000.0,
                ProposalKind::RungBelow === $proposal->kind => -500.0,
                ProposalKind::NextRung === $proposal->kind => 500.0,
                default => (float) (
                    $to->totalSeconds(1, 0) - $now->totalSeconds(1, 0)
                ) + 10.0 * ($to->loadKilograms - $now->loadKilograms),
            };
        }

        return max(-1000.0, $weight);
    }

    private function randomLine(
        Randomizer $random,
        int $ago,
        Dose $dose,
        string $rungId,
    ): LogLine {
        $before = $random->getInt(0, 3);

        return $this->line($ago, [
            'painBefore' => $before,
            'painAfter' => max(0, $before + $random->getInt(-1, 2)),
            'tone' => [
                ToneAfter::Same,
                ToneAfter::Looser,
                ToneAfter::Same,
                ToneAfter::Tighter,
            ][$random->getInt(0, 3)],
            'outcome' => $random->getInt(0, 5) > 0 ? Outcome::Done : Outcome::Part,
            'compensations' => 0 === $random->getInt(0, 4) ? [Compensation::ShoulderHike] : [],
        ], $dose, $rungId);
    }

    private function worsened(LogLine $line, int $how): LogLine
    {
        return match ($how) {
            0 => $this->copy(
                $line,
                painAfter: min(10, max(4, ($line->painBefore ?? 0) + 2)),
            ),
            1 => $this->copy($line, painAfter: 8),
            2 => $this->copy($line, newTingling: true),
            3 => $this->copy($line, systemic: true),
            default => $this->copy($line, hurtLater: true),
        };
    }

    private function copy(
        LogLine $l,
        ?int $painAfter = null,
        bool $newTingling = false,
        bool $systemic = false,
        bool $hurtLater = false,
    ): LogLine {
        return new LogLine(
            $l->id,
            $l->sittingId,
            $l->rungId,
            $l->hands,
            dose: $l->dose,
            day: $l->day,
            outcome: $l->outcome,
            repetitions: $l->repetitions,
            holdSeconds: $l->holdSeconds,
            painBefore: $l->painBefore,
            painAfter: $painAfter ?? $l->painAfter,
            tone: $l->tone,
            help: $l->help,
            compensations: $l->compensations,
            fatigue: $l->fatigue,
            newTingling: $newTingling || $l->newTingling,
            systemic: $systemic || $l->systemic,
            hurtLater: $hurtLater || $l->hurtLater,
        );
    }

    public function testNoRuleDependsOnHowMuchOfTheLogIsRead(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        $today = new \DateTimeImmutable(self::TODAY);
        $asked = 0;
        for ($case = 0; $case < 150; ++$case) {
            $lines = [];
            for ($daysAgo = 90; $daysAgo >= $random->getInt(0, 9); --$daysAgo) {
                if ($random->getInt(0, 2) > 0 && !($daysAgo > 14 && $daysAgo < 24)) {
                    $lines[] = $this->line($daysAgo, [
                        'painAfter' => $random->getInt(0, 40) > 39 ? 5 : 1,
                        'outcome' => $random->getInt(0, 5) > 4 ? Outcome::Skipped : Outcome::Part,
                    ]);
                }
            }
            $whole = new SittingLog($lines);
            $first = $whole->begunOn('helped-lift-hold|right');
            $short = new SittingLog(
                SittingLog::since($lines, $today->modify('-56 days')),
                null === $first ? [] : ['helped-lift-hold|right' => $first],
            );
            if (null === $short->lastDay()) {
                continue;
            }
            $proposals = $this->ofLog($whole);
            $asked += \count($proposals);

            self::assertEquals($proposals, $this->ofLog($short), 'case '.$case);
        }
        self::assertGreaterThan(50, $asked);
    }

    public function testWhatWasDoneLongAgoMakesAPlateauThoughThePageReadsTwoWeeks(): void
    {
        $lines = array_map(
            fn (int $daysAgo): LogLine => $this->line($daysAgo, ['repetitions' => 6]),
            [13, 12, 11, 10, 9, 8, 6, 5, 4, 3, 2, 1],
        );
        $begun = static fn (int $daysAgo): array => [
            'helped-lift-hold|right' => new \DateTimeImmutable(self::TODAY.' -'.$daysAgo.' days'),
        ];

        self::assertSame([], $this->ofLog(new SittingLog($lines, $begun(13))));
        self::assertSame(
            ['plateau'],
            array_map(
                static fn (Proposal $p): string => $p->ruleId,
                $this->ofLog(new SittingLog($lines, $begun(40))),
            ),
        );
    }

    /** @return list<Proposal> */
    private function ofLog(SittingLog $log): array
    {
        $rung = Cases::catalogue()->rung('helped-lift-hold');

        return (new Proposer(Cases::catalogue()))->propose(
            [new Prescribed($rung, Hands::Right, $rung->dosing->start)],
            $log,
            new Situation([Condition::Stroke], 5, new \DateTimeImmutable(self::TODAY)),
        );
    }

    /** @param list<LogLine> $lines */
    private function one(string $rungId, array $lines, ?Dose $dose = null): ?Proposal
    {
        return $this->all($rungId, $lines, $dose)[0] ?? null;
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<Proposal>
     */
    private function all(string $rungId, array $lines, ?Dose $dose = null): array
    {
        $rung = Cases::catalogue()->rung($rungId);

        return (new Proposer(Cases::catalogue()))->propose(
            [new Prescribed($rung, Hands::Right, $dose ?? $rung->dosing->start)],
            new SittingLog($lines),
            new Situation(
                [Condition::Stroke, Condition::Spasticity, Condition::Tremor, Condition::Parkinsons],
                5,
                new \DateTimeImmutable(self::TODAY),
            ),
        );
    }

    /** @param array<string, mixed> $change */
    private function line(
        int $daysAgo,
        array $change = [],
        ?Dose $dose = null,
        string $rungId = 'helped-lift-hold',
    ): LogLine {
        ++self::$made;
        $of = static fn (string $key, mixed $otherwise): mixed => $change[$key] ?? $otherwise;
        $day = new \DateTimeImmutable(self::TODAY.' -'.$daysAgo.' days');
        $outcome = $of('outcome', Outcome::Done);
        $tone = $of('tone', ToneAfter::Same);
        $help = $of('help', Help::None);
        $tricks = $of('compensations', []);
        $number = static fn (
            string $key,
            ?int $otherwise,
        ): ?int => \is_int($of($key, $otherwise)) ? $of($key, $otherwise) : null;
        \assert(
            $outcome instanceof Outcome
            && $tone instanceof ToneAfter
            && $help instanceof Help
            && \is_array($tricks),
        );
        /** @var list<Compensation> $tricks */

        return new LogLine(
            'line-'.self::$made,
            $day->format('Y-m-d'),
            $rungId,
            Hands::Right,
            dose: $dose ?? Cases::catalogue()->rung($rungId)->dosing->start,
            day: $day,
            outcome: $outcome,
            repetitions: $number('repetitions', null),
            holdSeconds: $number('hold', null),
            painBefore: $number('painBefore', 1),
            painAfter: $number('painAfter', 1),
            tone: $tone,
            help: $help,
            compensations: $tricks,
            fatigue: $number('fatigue', null),
            newTingling: true === $of('newTingling', false),
            systemic: true === $of('systemic', false),
            hurtLater: true === $of('hurtLater', false),
            asShown: true === $of('asShown', false),
        );
    }
}
