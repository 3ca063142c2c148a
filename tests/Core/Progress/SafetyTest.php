<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Progress\Asked;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\QuietCards;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\StepsAhead;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Progress\UsualPain;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What must not happen between two visits, whatever the log says.
 *
 * @phpstan-type Change array{
 *     hands?: Hands,
 *     painBefore?: ?int,
 *     painAfter?: ?int,
 *     tone?: ToneAfter,
 *     help?: ?Help,
 *     compensations?: list<Compensation>,
 *     repetitions?: int,
 *     hurtLater?: bool,
 *     newTingling?: bool,
 *     fatigue?: int,
 * }
 */
final class SafetyTest extends TestCase
{
    private const TODAY = '2026-11-20';
    private const LIFT = 'helped-lift-hold';
    private const PRESS = 'pressed-lift-hold';
    private const TAPS = 'single-finger-taps';

    private static int $made = 0;

    public function testPainInOneMovementKeepsTheNextOfTheSamePartFromGrowing(): void
    {
        $press = $this->metOn(self::PRESS, [6, 4, 2]);
        self::assertTrue(
            $this->grows($press, self::PRESS),
        );

        $hurt = [...$press, $this->line(self::LIFT, 2, [
            'painBefore' => 2,
            'painAfter' => 5,
        ])];
        self::assertFalse(
            $this->grows($hurt, self::PRESS, self::LIFT),
            'the same wrist',
        );
        $taps = [...$this->metOn(self::TAPS, [6, 4, 2]), $this->line(
            self::LIFT,
            2,
            ['painAfter' => 5],
        )];
        self::assertTrue(
            $this->grows($taps, self::TAPS, self::LIFT),
            'the fingers are another part',
        );
    }

    public function testWhatWaitsSaysWhy(): void
    {
        $lines = [
            ...$this->metOn(self::PRESS, [6, 4, 2]),
            $this->line(self::LIFT, 2, ['painAfter' => 5]),
        ];
        $asked = (new Proposer(Cases::catalogue()))->asked(
            [
                $this->prescribed(self::PRESS, Hands::Right),
                $this->prescribed(self::LIFT, Hands::Right),
            ],
            new SittingLog($lines),
            new Situation([Condition::Stroke], 5, new \DateTimeImmutable(self::TODAY)),
        );

        self::assertCount(1, $asked->waiting);
        self::assertSame(self::PRESS, $asked->waiting[0][0]->rung->id);
        self::assertSame('held.symptom', $asked->waiting[0][1]->code);
    }

    public function testTheOtherHandMayGrowMeanwhile(): void
    {
        $lines = [
            ...$this->metOn(self::PRESS, [6, 4, 2], Hands::Left),
            $this->line(self::LIFT, 2, [
                'painBefore' => 2,
                'painAfter' => 5,
            ]),
        ];

        self::assertTrue(
            $this->has(
                ProposalKind::Advance,
                $this->of($lines, [[self::PRESS, Hands::Left]]),
            ),
        );
    }

    public function testPainThatStaysCountsThoughItDoesNotRise(): void
    {
        $lines = $this->metOn(self::LIFT, [6, 4, 2]);
        self::assertTrue(
            $this->grows($lines, self::LIFT),
        );
        $stays = array_map(
            fn (int $ago): LogLine => $this->line(
                self::LIFT,
                $ago,
                ['painBefore' => 4, 'painAfter' => 3],
            ),
            [6, 4, 2],
        );
        self::assertFalse(
            $this->grows($stays, self::LIFT),
        );
        $eased = [...$stays, $this->line(
            self::LIFT,
            1,
            ['painBefore' => 2, 'painAfter' => 2],
        )];
        self::assertTrue(
            $this->grows($eased, self::LIFT),
            'the first answer under the limit ends it',
        );
    }

    public function testPainThatNobodyTellsIsNotNoPain(): void
    {
        $untold = array_map(
            fn (int $ago): LogLine => $this->line(
                self::LIFT,
                $ago,
                ['painBefore' => null, 'painAfter' => null],
            ),
            [6, 4, 2],
        );

        self::assertFalse(
            $this->grows($untold, self::LIFT),
        );
    }

    public function testCreepingPainAsksOnceAndHoldsItsPart(): void
    {
        $lines = array_map(
            fn (int $i): LogLine => $this->line(self::LIFT, 11 - $i, [
                'painBefore' => $i < 5 ? 0 : 2,
                'painAfter' => $i < 5 ? 0 : 2,
            ]),
            range(0, 9),
        );
        $found = $this->of($lines, [
            [self::LIFT, Hands::Right],
        ]);

        self::assertSame(
            ['review.creeping'],
            self::rules($found),
        );
    }

    public function testUsualPainIsNoReasonToWaitAndMoreThanUsualIs(): void
    {
        $sore = fn (int $pain): array => array_map(
            fn (int $ago): LogLine => $this->line(
                self::PRESS,
                $ago,
                ['painBefore' => $pain, 'painAfter' => $pain],
            ),
            [6, 4, 2],
        );
        $usual = new UsualPain([UsualPain::key(ArmPart::Wrist, Side::Right) => 5]);

        self::assertFalse($this->growsWith($sore(5), new UsualPain()));
        self::assertTrue($this->growsWith($sore(5), $usual));
        self::assertFalse($this->growsWith($sore(6), $usual), 'one more than usual');
        $seven = [...$sore(5), $this->line(
            self::PRESS,
            1,
            ['painBefore' => 5, 'painAfter' => 7],
        )];
        self::assertTrue(
            $this->has(ProposalKind::Suspend, $this->usually($seven, $usual)),
            '7 stays absolute',
        );
    }

    public function testPainOfEveryDayAsksOnceWhatIsUsual(): void
    {
        $lines = [];
        foreach ([13, 11, 9, 7, 5, 3, 1] as $ago) {
            $lines[] = $this->line(
                self::PRESS,
                $ago,
                ['painBefore' => 5, 'painAfter' => 5],
            );
        }

        self::assertContains(
            'review.usual-pain',
            self::rules($this->usually($lines, new UsualPain())),
        );
        self::assertNotContains(
            'review.usual-pain',
            self::rules(
                $this->usually(
                    $lines,
                    new UsualPain([UsualPain::key(ArmPart::Wrist, Side::Right) => 5]),
                ),
            ),
        );
    }

    public function testHelpThatNobodyToldOfIsNotNone(): void
    {
        $untold = array_map(
            fn (int $ago): LogLine => $this->line(self::PRESS, $ago, ['help' => null]),
            [6, 4, 2],
        );

        self::assertFalse($this->grows($untold, self::PRESS));
        self::assertTrue(
            $this->grows([...$untold, $this->line(self::PRESS, 1)], self::PRESS),
            'told once',
        );
    }

    public function testPainHoldsItsPartUntilItWasAnswered(): void
    {
        $lines = [
            ...$this->metOn(self::PRESS, [6, 4, 2]),
            $this->line(self::LIFT, 13, ['painBefore' => 2, 'painAfter' => 5]),
            ...$this->metOn(self::LIFT, [5, 3, 1]),
        ];
        $items = [
            $this->prescribed(self::PRESS, Hands::Right),
            $this->prescribed(self::LIFT, Hands::Right),
        ];
        $proposer = new Proposer(Cases::catalogue());
        $open = $proposer->propose($items, new SittingLog($lines), $this->situation());
        $keys = array_map(static fn (Proposal $p): string => $p->key(), $open);
        $answered = $this->situation(answered: $keys);

        self::assertSame([], self::growing($open));
        self::assertNotSame(
            [],
            self::growing($proposer->propose($items, new SittingLog($lines), $answered)),
        );
    }

    public function testANextExerciseIsProposedOnlyWhereItWouldStand(): void
    {
        $rung = Cases::catalogue()->rung(self::LIFT);
        $top = $rung->dosing->start->withHold(10)->withRepetitions(15);
        $lines = array_map(
            fn (int $ago): LogLine => $this->line(self::LIFT, $ago, [], $top),
            [6, 4, 2],
        );
        $asked = fn (?float $holds): Asked => (new Proposer(Cases::catalogue()))->asked(
            [new Prescribed($rung, Hands::Right, $top)],
            new SittingLog($lines),
            $this->situation(ahead: $this->ahead($holds)),
        );
        $kinds = static fn (Asked $a): array => array_map(
            static fn (Proposal $p): ProposalKind => $p->kind,
            $a->proposals,
        );

        self::assertSame([ProposalKind::NextRung], $kinds($asked(6.0)));
        self::assertSame(
            [ProposalKind::ReadyToTry],
            $kinds($asked(null)),
            'only to be measured',
        );
        self::assertSame([], $kinds($asked(3.0)));
        self::assertSame('held.not_placed', $asked(3.0)->waiting[0][1]->code);
    }

    public function testASymptomIsNotOutlivedByABetterLine(): void
    {
        $lines = [
            $this->line(self::LIFT, 5, [
                'painBefore' => 1,
                'painAfter' => 5,
            ]),
            $this->line(self::LIFT, 3),
            $this->line(self::LIFT, 1),
        ];
        $found = $this->of($lines, [
            [self::LIFT, Hands::Right],
        ]);

        self::assertTrue(
            $this->has(
                ProposalKind::Ease,
                $found,
            ),
        );
        self::assertSame([$lines[0]->id], $found[0]->evidence);
        self::assertEquals(
            $found,
            $this->of(array_reverse($lines), [
                [self::LIFT, Hands::Right],
            ]),
            'in whatever order they arrive',
        );
    }

    public function testWhatWasMadeEasierSinceIsNotEasedAgain(): void
    {
        $start = Cases::catalogue()->rung(self::LIFT)->dosing->start;
        $lines = [
            $this->line(self::LIFT, 5, [
                'painBefore' => 1,
                'painAfter' => 5,
            ], $start),
            $this->line(self::LIFT, 1, [], $start->withHold(4)),
        ];
        $found = (new Proposer(Cases::catalogue()))->propose(
            [new Prescribed(
                Cases::catalogue()->rung(self::LIFT),
                Hands::Right,
                $start->withHold(4),
            )],
            new SittingLog($lines),
            new Situation([Condition::Stroke], 5, new \DateTimeImmutable(self::TODAY)),
        );

        self::assertFalse(
            $this->has(
                ProposalKind::Ease,
                $found,
            ),
        );
    }

    public function testTwoExercisesThatHurtOnePartAskOnceAboutThePart(): void
    {
        $hurts = ['painBefore' => 1, 'painAfter' => 5];
        $one = [$this->line(self::LIFT, 3, $hurts), $this->line(self::PRESS, 1)];
        $both = [$this->line(self::LIFT, 3, $hurts), $this->line(self::PRESS, 1, $hurts)];
        $items = [[self::LIFT, Hands::Right], [self::PRESS, Hands::Right]];

        self::assertNotContains('review.part-hurts', self::rules($this->of($one, $items)));
        $asked = array_filter(
            $this->of($both, $items),
            static fn (Proposal $p): bool => 'review.part-hurts' === $p->ruleId,
        );
        self::assertCount(1, $asked, 'parts that the same lines tell of are one card');
    }

    public function testTricksOnOneOfTheLastTwoDaysForbidMore(): void
    {
        $trick = ['compensations' => [Compensation::ShoulderHike]];
        $early = [
            $this->line(self::LIFT, 9, $trick),
            ...$this->metOn(self::LIFT, [7, 5, 3, 1]),
        ];
        self::assertTrue(
            $this->grows($early, self::LIFT),
        );
        $late = [...$this->metOn(self::LIFT, [9, 7, 5, 1]), $this->line(self::LIFT, 3, $trick)];
        self::assertFalse(
            $this->grows($late, self::LIFT),
        );
    }

    public function testTricksAtTheLeastDoseAskAndNeverTakeTheItemOff(): void
    {
        $rung = Cases::catalogue()->rung(self::LIFT);
        $least = $rung->dosing->start->withHold(1)->withRepetitions(4);
        $trick = ['compensations' => [Compensation::ShoulderHike]];
        $lines = array_map(
            fn (int $ago): LogLine => $this->line(self::LIFT, $ago, $trick, $least),
            [5, 3, 1],
        );
        $found = (new Proposer(Cases::catalogue()))->propose(
            [new Prescribed($rung, Hands::Right, $least)],
            new SittingLog($lines),
            new Situation([Condition::Stroke], 5, new \DateTimeImmutable(self::TODAY)),
        );

        self::assertSame(
            ['review.tricks'],
            self::rules($found),
        );
    }

    /** An item is never lowered and raised twice within two weeks. */
    public function testTricksDoNotSeeSaw(): void
    {
        for ($seed = 0; $seed < 60; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $rung = Cases::catalogue()->rung(self::LIFT);
            $dose = $rung->dosing->start->withHold(8);
            $changes = $lines = [];
            for ($day = 1; $day <= 60; ++$day) {
                $on = new \DateTimeImmutable('2026-09-01 +'.$day.' days');
                $lines[] = $this->lineOn(
                    self::LIFT,
                    $on,
                    ['compensations' => $random->getInt(0, 2) > 0 ? [] : [Compensation::TrunkLean]],
                    $dose,
                );
                foreach (
                    (new Proposer(Cases::catalogue()))->propose(
                        [new Prescribed($rung, Hands::Right, $dose)],
                        new SittingLog($lines),
                        new Situation([Condition::Stroke], 7, $on),
                    ) as $proposal
                ) {
                    if (null !== $proposal->to) {
                        $changes[] = [$day, ProposalKind::Lighter === $proposal->kind ? -1 : 1];
                        $dose = $proposal->to;
                    }
                }
            }
            foreach ($changes as $i => [$day, $way]) {
                $later = array_filter(
                    \array_slice($changes, $i + 1),
                    static fn (array $c): bool => $c[0] - $day <= 14,
                );
                $ways = [$way, ...array_column($later, 1)];
                self::assertLessThan(4, \count(self::turns($ways)), "seed $seed");
            }
        }
    }

    public function testTighterAfterAStretchMakesItSlowerAndNotShorter(): void
    {
        $tighter = ['tone' => ToneAfter::Tighter];
        $found = $this->of(
            [$this->line(
                'wrist-ease-back',
                3,
                $tighter,
            ), $this->line('wrist-ease-back', 1, $tighter)],
            [['wrist-ease-back', Hands::Right]],
        );
        self::assertSame(
            ['ease.tone-slower'],
            self::rules($found),
        );
        self::assertNull($found[0]->to);

        $grip = $this->of(
            [$this->line('soft-squeeze', 3, $tighter), $this->line('soft-squeeze', 1, $tighter)],
            [['soft-squeeze', Hands::Right]],
        );
        self::assertSame(ProposalKind::ReleaseFirst, $grip[0]->kind);
    }

    public function testTighterAfterOtherWorkMeansASetLessAndMoreRest(): void
    {
        $tighter = ['tone' => ToneAfter::Tighter];
        $lines = [$this->line(self::TAPS, 3, $tighter), $this->line(self::TAPS, 1, $tighter)];
        $start = Cases::catalogue()->rung(self::TAPS)->dosing->start;
        $often = $start->withSets(3);

        $item = new Prescribed(Cases::catalogue()->rung(self::TAPS), Hands::Right, $often);

        $found = $this->propose([$item], $lines);

        self::assertSame(['ease.tone-rest'], self::rules($found));
        self::assertEquals($found[0]->to, $item->under($found)->dose, 'in force at once');
        self::assertEquals($start->withSets(2)->withRest(2 * $start->restSeconds), $found[0]->to);

        $once = $this->of($lines, [[self::TAPS, Hands::Right]]);
        self::assertSame(['ease.tone-less'], self::rules($once));
        self::assertNotNull($once[0]->to, 'done once: less of it');
        self::assertSame($start->restSeconds, $once[0]->to->restSeconds);
    }

    public function testTighterAllOverHoldsEverything(): void
    {
        $ids = [self::LIFT, self::PRESS, self::TAPS, 'palm-up-turn'];
        $lines = $this->metOn('palm-up-turn', [9, 7, 5]);
        foreach ([3, 1] as $ago) {
            foreach ($ids as $i => $id) {
                $lines[] = $this->line(
                    $id,
                    $ago,
                    ['tone' => $i < 2 ? ToneAfter::Tighter : ToneAfter::Same],
                );
            }
        }
        $found = $this->of(
            $lines,
            array_map(
                static fn (string $id): array => [$id, Hands::Right],
                $ids,
            ),
        );

        self::assertContains(
            'review.tighter',
            self::rules($found),
        );
        self::assertFalse(
            $this->has(
                ProposalKind::Advance,
                $found,
            ),
        );
    }

    public function testBackAfterATimeAwayNothingGrowsForThreeDays(): void
    {
        $back = $this->metOn(self::LIFT, [20, 19, 18, 17, 3, 1]);
        self::assertFalse(
            $this->grows($back, self::LIFT),
        );
        $again = $this->metOn(self::LIFT, [20, 19, 18, 5, 4, 3, 1]);
        self::assertTrue(
            $this->grows($again, self::LIFT),
        );
    }

    public function testOnceAWeekIsNoTimeAway(): void
    {
        $weekly = $this->metOn(self::LIFT, [14, 8, 1]);
        $found = (new Proposer(Cases::catalogue()))->propose(
            [$this->prescribed(self::LIFT, Hands::Right)],
            new SittingLog($weekly),
            new Situation([Condition::Stroke], 1, new \DateTimeImmutable(self::TODAY)),
        );

        self::assertSame(
            [ProposalKind::Advance],
            array_map(
                static fn (Proposal $p): ProposalKind => $p->kind,
                $found,
            ),
        );
    }

    public function testFarUnderTheTargetTwiceGoesOneStepDown(): void
    {
        $short = ['repetitions' => 4];
        $found = $this->of(
            [$this->line(self::LIFT, 3, $short), $this->line(self::LIFT, 1, $short)],
            [
                [self::LIFT, Hands::Right],
            ],
        );

        self::assertSame(['ease.target'], self::rules($found));
    }

    public function testNotMoreThanSixStepsAtOnceAndFourOfAPart(): void
    {
        $ids = [];
        $lines = [];
        foreach (Cases::catalogue()->rungs() as $rung) {
            $rules = array_filter(
                $rung->dosing->progress,
                static fn ($p): bool => $p->kind->isAutomatic(),
            );
            if ([] !== $rules && \count($ids) < 40) {
                $ids[] = $rung->id;
                array_push($lines, ...$this->metOn($rung->id, [6, 4, 2, 1]));
            }
        }
        $steps = array_filter(
            $this->of(
                $lines,
                array_map(
                    static fn (string $id): array => [$id, Hands::Right],
                    $ids,
                ),
            ),
            static fn (Proposal $p): bool => $p->kind->isMore(),
        );

        self::assertGreaterThan(2, \count($steps));
        self::assertLessThanOrEqual(6, \count($steps));
    }

    public function testAnAnsweredCardIsQuietUntilItIsWorseByTwo(): void
    {
        $then = $this->line(self::LIFT, 6, ['painAfter' => 3, 'fatigue' => 4]);
        $cards = new QuietCards(['review.creeping|'.self::LIFT.'|right|'.$then->id]);
        $silence = function (array $now, string $rule = 'review.creeping') use ($cards, $then): bool {
            /** @var Change $now */
            $line = $this->line(self::LIFT, 1, $now);
            $card = new Proposal(
                ProposalKind::Review,
                $rule,
                Phrase::own(''),
                [$then->id, $line->id],
                rungId: self::LIFT,
                hands: Hands::Right,
            );

            return $cards->silence($card, new SittingLog([$then, $line]));
        };

        self::assertTrue($silence(['painAfter' => 4, 'fatigue' => 5]));
        self::assertFalse($silence(['painAfter' => 5, 'fatigue' => 4]), 'pain is worse by two');
        self::assertFalse($silence(['painAfter' => 3, 'fatigue' => 6]), 'tiredness is worse by two');
        self::assertFalse($silence(['painAfter' => 3], 'review.seldom'), 'another card');
    }

    public function testDoneSeldomAsksForASmallerPlan(): void
    {
        $found = $this->of($this->metOn(self::LIFT, [14, 9, 2]), [
            [self::LIFT, Hands::Right],
        ]);

        self::assertContains(
            'review.seldom',
            self::rules($found),
        );
    }

    public function testThreeItemsFarUnderWhatTheyWereAskOnceAndHoldEverything(): void
    {
        $ids = [self::LIFT, self::PRESS, 'palm-up-turn'];
        $lines = $this->metOn(self::TAPS, [9, 7, 5, 2, 1]);
        foreach ($ids as $id) {
            array_push($lines, ...$this->metOn($id, [9, 8, 7, 5]));
            foreach ([2, 1] as $ago) {
                $lines[] = $this->line($id, $ago, ['repetitions' => 5]);
            }
        }
        $found = $this->of($lines, array_map(
            static fn (string $id): array => [$id, Hands::Right],
            [self::TAPS, ...$ids],
        ));

        self::assertContains('review.fallen', self::rules($found));
        self::assertFalse(
            $this->has(
                ProposalKind::Advance,
                $found,
            ),
        );
    }

    public function testALineDatedAheadIsNoEvidenceAndItsPainCounts(): void
    {
        $ahead = [...$this->metOn(self::LIFT, [5, 3]), $this->line(self::LIFT, -3)];
        self::assertTrue(
            $this->grows([...$ahead, $this->line(self::LIFT, 1)], self::LIFT),
        );
        $hurt = [...$this->metOn(self::LIFT, [5, 3, 1]), $this->line(
            self::LIFT,
            -3,
            ['painAfter' => 8],
        )];
        self::assertFalse(
            $this->grows($hurt, self::LIFT),
        );
    }

    public function testTheSameLineTwiceIsOneLine(): void
    {
        $lines = $this->metOn(self::LIFT, [3, 1]);

        self::assertFalse(
            $this->grows([...$lines, $lines[1], $lines[1]], self::LIFT),
        );
    }

    public function testHowOftenItWasDoneSaysNothingOfHowHardItIs(): void
    {
        $start = Cases::catalogue()->rung(self::LIFT)->dosing->start;
        $lines = array_map(
            fn (int $ago): LogLine => $this->line(
                self::LIFT,
                $ago,
                [],
                $start->withSets(1 + $ago % 3),
            ),
            [6, 4, 2, 1],
        );

        self::assertTrue(
            $this->grows($lines, self::LIFT),
        );
    }

    /** @return iterable<string, array{Change}> */
    public static function symptoms(): iterable
    {
        yield 'pain' => [[
            'painBefore' => 1,
            'painAfter' => 5,
        ]];
        yield 'severe pain' => [['painAfter' => 8]];
        yield 'later' => [['hurtLater' => true]];
        yield 'tingling' => [['newTingling' => true]];
        yield 'tighter' => [['tone' => ToneAfter::Tighter]];
    }

    /** @param Change $symptom */
    #[DataProvider('symptoms')]
    public function testASymptomAddedAnywhereNeverLeadsToMore(array $symptom): void
    {
        for ($seed = 0; $seed < 40; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $ids = [self::LIFT, self::PRESS, self::TAPS, 'palm-up-turn', 'close-and-open'];
            $lines = [];
            foreach ($ids as $id) {
                for ($ago = 13; $ago > 0; $ago -= $random->getInt(1, 3)) {
                    $lines[] = $this->line($id, $ago);
                }
            }
            $items = array_map(
                static fn (string $id): array => [$id, Hands::Right],
                $ids,
            );
            $worse = $this->line(
                $ids[$random->getInt(0, 4)],
                $random->getInt(1, 13),
                $symptom,
            );
            $before = self::growing($this->of($lines, $items));
            $after = self::growing($this->of([...$lines, $worse], $items));

            self::assertSame([], array_diff($after, $before), "seed $seed");
        }
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return list<string>
     */
    private static function rules(array $proposals): array
    {
        return array_map(
            static fn (Proposal $p): string => $p->ruleId,
            $proposals,
        );
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return list<string> keys of the items that grow
     */
    private static function growing(array $proposals): array
    {
        return array_map(
            static fn (Proposal $p): string => (string) $p->itemKey(),
            array_values(array_filter(
                $proposals,
                static fn (Proposal $p): bool => $p->kind->isMore(),
            )),
        );
    }

    /**
     * @param list<int> $ways
     *
     * @return list<int> without repeats one after another
     */
    private static function turns(array $ways): array
    {
        $turns = [];
        foreach ($ways as $way) {
            if ([] === $turns || $turns[\count($turns) - 1] !== $way) {
                $turns[] = $way;
            }
        }

        return $turns;
    }

    /** @param list<LogLine> $lines */
    private function grows(array $lines, string $rungId, string ...$others): bool
    {
        $items = array_map(
            static fn (string $id): array => [$id, Hands::Right],
            [$rungId, ...$others],
        );
        foreach ($this->of($lines, $items) as $proposal) {
            if ($proposal->kind->isMore() && $proposal->rungId === $rungId) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Proposal> $proposals */
    private function has(ProposalKind $kind, array $proposals): bool
    {
        return [] !== array_filter(
            $proposals,
            static fn (Proposal $p): bool => $p->kind === $kind,
        );
    }

    /**
     * @param array<LogLine>              $lines
     * @param array<array{string, Hands}> $items
     *
     * @return list<Proposal>
     */
    private function of(array $lines, array $items): array
    {
        return $this->propose(
            array_values(array_map(fn (array $i): Prescribed => $this->prescribed(...$i), $items)),
            $lines,
        );
    }

    /**
     * @param list<Prescribed>          $items
     * @param array<array-key, LogLine> $lines
     *
     * @return list<Proposal>
     */
    private function propose(array $items, array $lines): array
    {
        return (new Proposer(Cases::catalogue()))->propose(
            $items,
            new SittingLog(array_values($lines)),
            new Situation(
                [Condition::Stroke, Condition::Parkinsons, Condition::Tremor],
                5,
                new \DateTimeImmutable(self::TODAY),
            ),
        );
    }

    /**
     * @param list<string> $answered
     */
    private function situation(
        UsualPain $usual = new UsualPain(),
        array $answered = [],
        ?StepsAhead $ahead = null,
    ): Situation {
        return new Situation(
            [Condition::Stroke],
            5,
            new \DateTimeImmutable(self::TODAY),
            $usual,
            answered: $answered,
            ahead: $ahead,
        );
    }

    /** @param ?float $holds seconds for which the wrist holds; null: not measured */
    private function ahead(?float $holds): StepsAhead
    {
        $today = new \DateTimeImmutable(self::TODAY);
        $side = Side::Right;
        $readings = [
            new Reading('hand_on_table', $side, null, null, value: true, on: $today),
            new Reading('wrist_back_on_edge', $side, null, null, value: true, on: $today),
            new Reading(
                'wrist_extension',
                $side,
                Mode::Passive,
                null,
                value: 40.0,
                on: $today,
            ),
            new Reading('shoulder_free', $side, null, null, value: true, on: $today),
            new Reading('painful', $side, null, 'wrist', value: false, on: $today),
            new Reading('wrist_lifts_alone', $side, null, null, value: true, on: $today),
        ];
        if (null !== $holds) {
            $readings[] = new Reading(
                'wrist_ext_hold_s',
                $side,
                null,
                null,
                value: $holds,
                on: $today,
            );
        }
        $screening = [];
        foreach (Cases::catalogue()->screening->questions as $question) {
            $screening[$question->id] = [Answer::No, $today];
        }
        $facts = new ClientFacts(
            new People([Condition::Stroke], [$side], [], $side),
            new Setting(),
            new Measured(
                new Readings($readings),
                new Screening(Cases::catalogue()->screening, $screening),
            ),
            new Decided(),
        );

        return new StepsAhead(
            new Placer(Cases::catalogue()),
            static fn (): ClientFacts => $facts,
            $today,
        );
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<Proposal>
     */
    private function usually(array $lines, UsualPain $usual): array
    {
        return (new Proposer(Cases::catalogue()))->propose(
            [$this->prescribed(self::PRESS, Hands::Right)],
            new SittingLog($lines),
            $this->situation($usual),
        );
    }

    /** @param list<LogLine> $lines */
    private function growsWith(array $lines, UsualPain $usual): bool
    {
        return [] !== self::growing($this->usually($lines, $usual));
    }

    private function prescribed(string $rungId, Hands $hands): Prescribed
    {
        $rung = Cases::catalogue()->rung($rungId);

        return new Prescribed($rung, $hands, $rung->dosing->start);
    }

    /**
     * @param list<int> $daysAgo
     *
     * @return list<LogLine>
     */
    private function metOn(
        string $rungId,
        array $daysAgo,
        Hands $hands = Hands::Right,
    ): array {
        return array_map(
            fn (int $ago): LogLine => $this->line($rungId, $ago, ['hands' => $hands]),
            $daysAgo,
        );
    }

    /** @param Change $change */
    private function line(
        string $rungId,
        int $ago,
        array $change = [],
        ?Dose $dose = null,
    ): LogLine {
        return $this->lineOn(
            $rungId,
            (new \DateTimeImmutable(self::TODAY))->modify(\sprintf('%+d days', -$ago)),
            $change,
            $dose,
        );
    }

    /** @param Change $change */
    private function lineOn(
        string $rungId,
        \DateTimeImmutable $on,
        array $change,
        ?Dose $dose,
    ): LogLine {
        ++self::$made;

        return new LogLine(
            'line-'.self::$made,
            'sitting-'.$on->format('md'),
            $rungId,
            $change['hands'] ?? Hands::Right,
            dose: $dose ?? Cases::catalogue()->rung($rungId)->dosing->start,
            day: $on,
            outcome: Outcome::Done,
            repetitions: $change['repetitions'] ?? null,
            painBefore: \array_key_exists('painBefore', $change) ? $change['painBefore'] : 1,
            painAfter: \array_key_exists('painAfter', $change) ? $change['painAfter'] : 1,
            tone: $change['tone'] ?? null,
            help: \array_key_exists('help', $change) ? $change['help'] : Help::None,
            compensations: $change['compensations'] ?? [],
            fatigue: $change['fatigue'] ?? null,
            newTingling: $change['newTingling'] ?? false,
            hurtLater: $change['hurtLater'] ?? false,
        );
    }
}
