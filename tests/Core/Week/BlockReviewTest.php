<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Week;

use HandGarden\Core\Week\Block;
use HandGarden\Core\Week\BlockEvidence;
use HandGarden\Core\Week\BlockStage;
use HandGarden\Core\Week\BlockVerdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is due in a block, and what it speaks for at its end. */
final class BlockReviewTest extends TestCase
{
    /** @return iterable<string, array{int, bool, bool, bool, ?BlockStage}> day, called, looked at, reviewed, due */
    public static function stages(): iterable
    {
        yield 'nothing before the third day' => [2, false, false, false, null];
        yield 'a call on the third' => [
            3,
            false,
            false,
            false,
            BlockStage::Call,
        ];
        yield 'once' => [4, true, false, false, null];
        yield 'a look on the seventh' => [
            7,
            true,
            false,
            false,
            BlockStage::Look,
        ];
        yield 'once too' => [9, true, true, false, null];
        yield 'the review from the eleventh' => [
            11,
            true,
            true,
            false,
            BlockStage::Review,
        ];
        yield 'and for a week after the end' => [
            21,
            true,
            true,
            false,
            BlockStage::Review,
        ];
        yield 'then only upkeep goes on' => [
            22,
            true,
            true,
            false,
            BlockStage::Upkeep,
        ];
        yield 'reviewed, nothing is due' => [22, false, false, true, null];
        yield 'before it began' => [0, false, false, false, null];
    }

    #[DataProvider('stages')]
    public function testWhatIsDueOnADay(
        int $day,
        bool $isCalled,
        bool $isLookedAt,
        bool $isReviewed,
        ?BlockStage $due,
    ): void {
        $begins = new \DateTimeImmutable('2026-11-02', new \DateTimeZone('UTC'));

        self::assertSame($due, BlockStage::due(
            new Block($begins),
            $begins->modify('+'.($day - 1).' days'),
            isCalled: $isCalled,
            isLookedAt: $isLookedAt,
            isReviewed: $isReviewed,
        ));
    }

    /** @return iterable<string, array{BlockEvidence, BlockVerdict}> */
    public static function blocks(): iterable
    {
        yield 'it moves' => [self::evidence(), BlockVerdict::GoOn];
        yield 'seldom done' => [
            self::evidence(share: 0.4),
            BlockVerdict::Smaller,
        ];
        yield 'nothing moved' => [
            self::evidence(gains: 0, stepsUp: 0),
            BlockVerdict::Change,
        ];
        yield 'the task goes well' => [
            self::evidence(ease: 8),
            BlockVerdict::Finish,
        ];
        yield 'worse' => [
            self::evidence(losses: 1, ease: 9),
            BlockVerdict::Change,
        ];
        yield 'pain crept up' => [
            self::evidence(painRises: true, ease: 9),
            BlockVerdict::Change,
        ];
        yield 'something rests' => [
            self::evidence(isHeld: true, share: 0.1),
            BlockVerdict::Change,
        ];
    }

    #[DataProvider('blocks')]
    public function testWhatABlockSpeaksFor(BlockEvidence $evidence, BlockVerdict $verdict): void
    {
        self::assertSame(
            $verdict,
            $evidence->proposes()[0],
        );
    }

    public function testNothingThatIsWrongEverSpeaksForTheSameOrForTheEnd(): void
    {
        foreach ([0.0, 0.5, 1.0] as $share) {
            foreach ([0, 3] as $gains) {
                foreach ([null, 0, 10] as $ease) {
                    foreach (
                        [
                            self::evidence(
                                share: $share,
                                gains: $gains,
                                ease: $ease,
                                losses: 1,
                            ),
                            self::evidence(
                                share: $share,
                                gains: $gains,
                                ease: $ease,
                                isHeld: true,
                            ),
                            self::evidence(
                                share: $share,
                                gains: $gains,
                                ease: $ease,
                                painRises: true,
                            ),
                        ] as $evidence
                    ) {
                        self::assertSame(
                            BlockVerdict::Change,
                            $evidence->proposes()[0],
                        );
                    }
                }
            }
        }
    }

    private static function evidence(mixed ...$with): BlockEvidence
    {
        /** @var array{float, int, int, int, bool, bool, ?int} $all by property */
        $all = $with + [
            'share' => 0.8,
            'gains' => 1,
            'losses' => 0,
            'stepsUp' => 3,
            'isHeld' => false,
            'painRises' => false,
            'ease' => 5,
        ];

        return new BlockEvidence(...$all);
    }
}
