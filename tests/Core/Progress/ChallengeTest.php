<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Levels;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Speed, calls, angle, firmness, help, fingers and size grow from what was told of them, and from nothing else. */
final class ChallengeTest extends TestCase
{
    private const TODAY = '2026-11-20';

    /** @return iterable<string, array{string, array<string, mixed>, ?array{string, int|float|string}}> */
    public static function told(): iterable
    {
        $run = 'slow-two-hand-thumb-touch';
        // five runs of seven touches: three errors are under a tenth, four are over
        yield 'few errors: a quicker beat' => [$run, ['errors' => 3], ['beat', 45]];
        yield 'more errors: none' => [$run, ['errors' => 4], null];
        yield 'nobody counted errors: none' => [$run, [], null];
        $calls = 'called-numbers-short';
        yield 'one miss in eight: shorter calls' => [$calls, ['errors' => 1], ['interval', 2.7]];
        yield 'two misses: none' => [$calls, ['errors' => 2], null];
        yield 'nobody counted misses: none' => [$calls, [], null];
        $release = 'wrist-forward-release';
        yield 'let go four of five times: the next angle' => [$release, ['repetitions' => 4], ['angle', -30]];
        yield 'let go three times: none' => [$release, ['repetitions' => 3], null];
        yield 'nobody counted: none' => [$release, [], null];
        yield 'a squeeze in full: firmer' => ['soft-squeeze', ['help' => Help::None], ['firmness', 'medium']];
        yield 'called too hard: no firmer' => [
            'soft-squeeze',
            ['help' => Help::None, 'felt' => Felt::TooHard],
            null,
        ];
        yield 'done with some help: some help from now on' => [
            'clasped-elbow-bend-rest',
            ['help' => Help::Some],
            ['help', 'some'],
        ];
        yield 'done with all the help there is: none' => ['clasped-elbow-bend-rest', ['help' => Help::Full], null];
        yield 'nobody told of help: none' => ['clasped-elbow-bend-rest', ['help' => null], null];
        yield 'a coin held ten seconds: the next finger' => ['coin-still-hold', [], ['finger', 'middle']];
        yield 'ten pieces placed: smaller ones' => ['three-digit-pick-place', [], ['size', 'medium']];
    }

    /**
     * @param array<string, mixed>                   $told
     * @param ?array{string, int|float|string} $expected the challenge and its level that are proposed
     */
    #[DataProvider('told')]
    public function testItGrowsFromWhatWasTold(string $rung, array $told, ?array $expected): void
    {
        $dose = self::atTheCapOfItsCounts($rung);
        $step = self::advance($this->propose($rung, $dose, $told));

        self::assertSame(
            $expected,
            null === $expected || null === $step
                ? $step
                : [$expected[0], $step->to?->levels->at(Challenge::from($expected[0]))],
        );
    }

    public function testAShortSqueezeGetsNoFirmer(): void
    {
        $short = self::atTheCapOfItsCounts('soft-squeeze')->withHold(2);

        self::assertNull(self::advance($this->propose('soft-squeeze', $short, ['help' => Help::None])));
    }

    public function testTheNextFingerBeginsWithAHoldOfItsOwn(): void
    {
        $dose = self::atTheCapOfItsCounts('coin-still-hold');
        self::assertSame(10, $dose->holdSeconds);

        self::assertSame(1, self::advance($this->propose('coin-still-hold', $dose, []))?->to?->holdSeconds);
    }

    public function testSmallerPiecesBeginWithFewer(): void
    {
        $dose = self::atTheCapOfItsCounts('three-digit-pick-place');
        $step = self::advance($this->propose('three-digit-pick-place', $dose, []));

        self::assertSame([10, 5], [$dose->repetitions, $step?->to?->repetitions]);
    }

    public function testPiecesGoOnePastTheBestOfTheLastThree(): void
    {
        $dose = Cases::catalogue()->rung('palm-store-count-up')->dosing->start;
        $step = self::advance($this->propose('palm-store-count-up', $dose, ['repetitions' => 7]));

        self::assertSame([5, 8], [$dose->repetitions, $step?->to?->repetitions]);
    }

    public function testInTheClinicAnAngleGrowsByTenDegrees(): void
    {
        $dose = self::atTheCapOfItsCounts('wrist-forward-release');
        $step = self::advance(
            $this->propose('wrist-forward-release', $dose, ['repetitions' => 5], atHome: false),
        );

        self::assertSame(-50, $step?->to?->levels->at(Challenge::Angle));
    }

    public function testWhatWasDoneWithASofterPieceIsNoEvidenceForAFirmerOne(): void
    {
        $medium = self::atTheCapOfItsCounts('soft-squeeze')->at(Challenge::Firmness, 'medium');
        $told = ['help' => Help::None];

        self::assertSame(
            'firm',
            self::advance($this->propose('soft-squeeze', $medium, $told))?->to?->levels->at(
                Challenge::Firmness,
            ),
        );
        $told['levels'] = Levels::none()->with(Challenge::Firmness, 'soft');
        self::assertNull(self::advance($this->propose('soft-squeeze', $medium, $told)));
    }

    public function testTooHardOnTwoDaysGoesOneStepDown(): void
    {
        $dose = Cases::catalogue()->rung('soft-squeeze')->dosing->start;
        $found = $this->propose('soft-squeeze', $dose, ['felt' => Felt::TooHard]);

        self::assertSame(['ease.target'], self::rules($found));
        self::assertTrue($found[0]->to?->isAtMost($dose));
    }

    public function testWhatOnlyAsksDoesNotStandBeforeWhatEases(): void
    {
        $dose = self::start('wrist-forward-release');
        $tighter = ['tone' => ToneAfter::Tighter];
        $asked = $this->propose('wrist-forward-release', $dose, $tighter);
        $failed = $this->propose('wrist-forward-release', $dose, $tighter + [
            'outcome' => Outcome::Part,
            'repetitions' => 1,
        ]);

        self::assertSame(['ease.tone-slower'], self::rules($asked));
        self::assertSame(['ease.target'], self::rules($failed));
    }

    public function testTooEasyOnTwoDaysAsksWhereNothingGrows(): void
    {
        $dose = self::atTheCapOfItsCounts('slow-two-hand-thumb-touch');
        $found = $this->propose('slow-two-hand-thumb-touch', $dose, ['felt' => Felt::TooEasy]);

        self::assertSame(
            ['review.too-easy'],
            self::rules($found),
        );
    }

    public function testMostOfADayTooHardTwiceShortensTheNext(): void
    {
        $rungs = ['soft-squeeze', 'slow-two-hand-thumb-touch', 'coin-still-hold'];
        $lines = $items = [];
        foreach ($rungs as $i => $rung) {
            $items[] = new Prescribed(Cases::catalogue()->rung($rung), Hands::Right, self::start($rung));
            foreach ([3, 1] as $ago) {
                $felt = $i < 2 ? Felt::TooHard : Felt::Right;
                $lines[] = self::line($rung, self::start($rung), $ago, new Told(Outcome::Done, felt: $felt));
            }
        }
        $found = (new Proposer(Cases::catalogue()))->propose(
            $items,
            new SittingLog($lines),
            self::situation(),
        );

        self::assertContains(
            'ease.fatigue',
            self::rules($found),
        );
    }

    public function testAWholeSittingTooHardTwiceShortensTheNextAndEasesNoExercise(): void
    {
        $lines = $items = [];
        foreach (['soft-squeeze', 'coin-still-hold'] as $rung) {
            $items[] = new Prescribed(Cases::catalogue()->rung($rung), Hands::Right, self::start($rung));
            foreach ([3, 1] as $ago) {
                $told = new Told(Outcome::Done, whole: Felt::TooHard);
                $lines[] = self::line($rung, self::start($rung), $ago, $told);
            }
        }
        $rules = self::rules((new Proposer(Cases::catalogue()))->propose(
            $items,
            new SittingLog($lines),
            self::situation(),
        ));

        self::assertContains('ease.fatigue', $rules);
        self::assertNotContains('ease.target', $rules);
    }

    /** With the counts and holds that come before at their cap. */
    private static function atTheCapOfItsCounts(string $id): Dose
    {
        $rung = Cases::catalogue()->rung($id);
        $range = $rung->dosing->range;

        return $rung->dosing->start
            ->withRepetitions([] === array_filter(
                $rung->dosing->progress,
                static fn ($s): bool => \in_array($s->kind->value, ['repetitions', 'object-count'], true),
            ) ? $rung->dosing->start->repetitions : $range->repetitions[1])
            ->withHold($range->holdSeconds[1]);
    }

    private static function start(string $rung): Dose
    {
        return Cases::catalogue()->rung($rung)->dosing->start;
    }

    /**
     * @param array<string, mixed> $told on each of four days
     *
     * @return list<Proposal>
     */
    private function propose(string $rung, Dose $dose, array $told, bool $atHome = true): array
    {
        /** @var array{outcome: Outcome} $all */
        $all = $told + ['outcome' => Outcome::Done, 'painBefore' => 0, 'painAfter' => 0, 'help' => Help::None];
        $lines = array_map(
            static fn (int $ago): LogLine => self::line($rung, $dose, $ago, new Told(...$all)),
            [7, 5, 3, 1],
        );

        return (new Proposer(Cases::catalogue()))->propose(
            [new Prescribed(Cases::catalogue()->rung($rung), Hands::Right, $dose)],
            new SittingLog($lines),
            self::situation($atHome),
        );
    }

    private static function line(string $rung, Dose $dose, int $ago, Told $told): LogLine
    {
        return LogLine::from(
            $rung.' '.$ago,
            'sitting '.$ago,
            new ItemKey($rung, Hands::Right),
            $dose,
            day: new \DateTimeImmutable(self::TODAY.' -'.$ago.' days'),
            told: $told,
        );
    }

    private static function situation(bool $atHome = true): Situation
    {
        return new Situation(
            [Condition::Stroke, Condition::Parkinsons],
            5,
            new \DateTimeImmutable(self::TODAY),
            atHome: $atHome,
        );
    }

    /**
     * @param list<Proposal> $found
     *
     * @return list<string>
     */
    private static function rules(array $found): array
    {
        return array_map(static fn (Proposal $p): string => $p->ruleId, $found);
    }

    /** @param list<Proposal> $found */
    private static function advance(array $found): ?Proposal
    {
        foreach ($found as $proposal) {
            if (str_starts_with($proposal->ruleId, 'advance.')) {
                return $proposal;
            }
        }

        return null;
    }
}
