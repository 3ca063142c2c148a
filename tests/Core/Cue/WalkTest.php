<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Cue;

use HandGarden\Content\WalkReader;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Cue\Counted;
use HandGarden\Core\Cue\Flow;
use HandGarden\Core\Cue\WalkKind;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WalkTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> what is changed, the complaint */
    public static function mistakes(): iterable
    {
        $cue = ['cue' => 'move', 'seconds' => 4, 'say' => 'up'];
        $hold = ['cue' => 'hold', 'say' => 'stay'];
        yield 'longer than the dose' => [
            ['cues' => [$cue, $cue, $hold]],
            'walk.cues: take 8 s, and the dose moves for 4',
        ];
        yield 'no hold where the dose holds' => [['cues' => [$cue]], 'walk.cues: hold where'];
        yield 'half a hold' => [
            ['cues' => [$cue, $hold + ['of_hold' => 'half']]],
            'walk.cues: hold where',
        ];
        yield 'a third of a hold' => [
            ['cues' => [$cue, $hold + ['of_hold' => 'third']]],
            'walk.cues[1].of_hold: expected half',
        ];
        yield 'fewer fingers than parts' => [
            ['over' => ['index']],
            'walk.over: 1 units, and the dose has 2 parts',
        ];
        yield 'a finger nobody has' => [['over' => ['index', 'sixth']], 'walk.over[1]: no unit'];
        yield 'no order' => [['order' => null], 'walk: says no order'];
        yield 'a line that is not there' => [['danger' => 'stop-99'], 'walk.danger: no line'];
        yield 'an unknown count' => [['count' => ['needed' => ['smiles']]], 'walk.count.needed[0]: "smiles"'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('mistakes')]
    public function testAWalkThatDoesNotFillItsDoseIsRefused(array $change, string $complaint): void
    {
        $walk = array_filter($change + [
            'kind' => 'digits',
            'over' => ['index', 'middle'],
            'order' => 'block',
            'cues' => [
                ['cue' => 'move', 'seconds' => 4, 'say' => 'up'],
                ['cue' => 'hold', 'say' => 'stay'],
            ],
            'count' => ['button' => 'hold'],
            'danger' => 'stop-2',
        ], static fn (mixed $v): bool => null !== $v);

        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage($complaint);
        (new WalkReader(['stop-2' => 'The hand cramps.']))->walk(
            Node::root($walk, 'walk'),
            Dose::from(1, 5, 2, 4, holdSeconds: 3, restSeconds: 0),
            'Pain',
        );
    }

    public function testEveryRungSaysHowItIsWalkedAndWhenToStop(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $said = array_filter($rung->walk->cues, static fn ($cue): bool => '' === trim($cue->words));
            self::assertSame([], $said, $rung->id);
            self::assertGreaterThan(5, \strlen($rung->walk->danger), $rung->id);
            self::assertDoesNotMatchRegularExpression('/stop-\d/', $rung->walk->danger);
        }
    }

    public function testWhatProgressCountsIsAskedFor(): void
    {
        $missing = [];
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rung->dosing->progress as $spec) {
                $needed = match ($spec->kind->value) {
                    'hold-count' => [Counted::Hold],
                    'load' => [Counted::Load],
                    'tempo' => [Counted::Beats],
                    'caller' => [Counted::Errors, Counted::Interval],
                    'object-count' => [Counted::Pieces, Counted::Repetitions],
                    'firmness' => [Counted::Firmness],
                    'help' => [Counted::Help],
                    default => [],
                };
                if ([] !== $needed && [] === array_filter($needed, $rung->walk->count->has(...))) {
                    $missing[] = $rung->id.' '.$spec->kind->value;
                }
            }
        }

        self::assertSame([], $missing);
    }

    public function testBreathFeelingAndCallsAreNeverCountedAloud(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            if (\in_array($rung->walk->kind, [WalkKind::Breath, WalkKind::Call, WalkKind::Notice], true)) {
                self::assertTrue($rung->walk->isQuiet, $rung->id);
            }
        }
    }

    public function testWhatIsWornIsTakenOffLater(): void
    {
        $worn = array_filter(
            Cases::catalogue()->rungs(),
            static fn (Rung $r): bool => WalkKind::Wear === $r->walk->kind,
        );

        self::assertCount(4, $worn);
        foreach ($worn as $rung) {
            self::assertTrue($rung->walk->count->has(Counted::Skin), $rung->id);
        }
        self::assertSame(
            ['palm-flattening-band' => 30, 'glove-stick-rest' => 60, 'night-hand-splint' => 60],
            array_filter(
                array_combine(
                    array_map(
                        static fn (Rung $r): string => $r->id,
                        $worn,
                    ),
                    array_map(
                        static fn (Rung $r): int => $r->walk->laterSeconds,
                        $worn,
                    ),
                ),
                static fn (int $seconds): bool => $seconds > 0,
            ),
        );
        self::assertSame(Flow::Later, Cases::catalogue()->rung('night-hand-splint')->walk->flow);
    }
}
