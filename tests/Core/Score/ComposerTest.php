<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Score;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Score\Aloud;
use HandGarden\Core\Score\Composer;
use HandGarden\Core\Score\Part;
use HandGarden\Core\Score\Played;
use HandGarden\Core\Score\Stretch;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use PHPUnit\Framework\TestCase;

final class ComposerTest extends TestCase
{
    public function testAScoreIsAsLongAsTheHonestTimeOfEveryExerciseAmountAndHand(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rung->dosing->amounts->amounts() as $amount) {
                foreach (Hands::cases() as $hands) {
                    $item = self::item(
                        $rung->id,
                        $hands,
                        $rung->dosing->with($rung->dosing->start, $amount),
                    );

                    self::assertEqualsWithDelta(
                        $item->seconds(),
                        self::stretch($item)->seconds(),
                        1e-6,
                        $item->key().' '.$amount->number,
                    );
                }
            }
        }
    }

    public function testSoItIsAtEveryLevelOfWhatMakesAnExerciseHarder(): void
    {
        $played = 0;
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach (Challenge::cases() as $challenge) {
                foreach ($rung->dosing->levelsOf($challenge->value) as $level) {
                    $item = self::item($rung->id, Hands::Each, $rung->dosing->start->at($challenge, $level));
                    self::assertEqualsWithDelta(
                        $item->seconds(),
                        self::stretch($item)->seconds(),
                        1e-6,
                        $item->key().' '.$challenge->value.' '.$level,
                    );
                    ++$played;
                }
            }
        }

        self::assertGreaterThan(50, $played);
    }

    public function testAChainInRoundsTakesTheTimeThatTheRoutineCountsForIt(): void
    {
        $chains = 0;
        foreach (range(0, 11) as $seed) {
            $sequence = self::routine($seed);
            $times = $sequence->times();
            $before = null;
            foreach ((new Composer(Side::Left))->score($sequence, $seed)->stretches as $stretch) {
                $counted = array_sum(array_splice($times, 0, \count($stretch->items)));
                if (null !== $before) {
                    $counted -= Limits::BETWEEN_SECONDS;
                    $counted -= Sequence::changesPosition($before, $stretch->items[0])
                        ? Limits::POSTURE_CHANGE_SECONDS
                        : 0;
                }
                self::assertEqualsWithDelta($counted, $stretch->seconds(), 1e-6, "client $seed");
                $before = $stretch->items[array_key_last($stretch->items)];
                $chains += \count($stretch->items) > 1 ? 1 : 0;
            }
            self::assertSame([], $times, 'every item is played');
        }

        self::assertGreaterThan(5, $chains);
    }

    public function testFingersAreNamedAtEveryChangeAndTheRepetitionsThinOut(): void
    {
        $cues = self::work(self::stretch(self::item('single-finger-taps', Hands::Right)));

        self::assertSame(['index', 'middle'], array_values(array_unique(
            array_map(static fn (Played $p): ?string => $p->place->unit, $cues),
        )));
        self::assertSame(
            [true, ...array_fill(0, 19, false)],
            array_column($cues, 'saysSide'),
        );
        self::assertSame([0, 10], array_keys(array_filter(array_column($cues, 'saysUnit'))));
        self::assertSame(
            [
                Aloud::Words,
                Aloud::Words,
                Aloud::Words,
                Aloud::WordsAndNumber,
                Aloud::Nothing,
                Aloud::Number,
                Aloud::Nothing,
                Aloud::Number,
                Aloud::Nothing,
                Aloud::Tick,
            ],
            \array_slice(array_column($cues, 'aloud'), 0, 10),
        );
        self::assertSame(Aloud::LastOne, $cues[19]->aloud);
    }

    public function testARoundGoesThroughAllFingersAndThenAgain(): void
    {
        $cues = self::work(self::stretch(self::item('each-finger-lift', Hands::Left)));
        $units = array_column(array_column(array_filter(
            $cues,
            static fn (Played $p): bool => $p->saysUnit,
        ), 'place'), 'unit');

        $hand = ['thumb', 'index', 'middle', 'ring', 'little'];
        self::assertSame([...$hand, ...$hand], $units);
    }

    public function testWhereEachHandWorksTheWorseComesFirstAndAllOfIt(): void
    {
        $item = self::item('single-finger-taps', Hands::Each);
        $sides = array_map(
            static fn (Played $p): ?Side => $p->place->side,
            self::work((new Composer(Side::Right))->stretch([$item], 1)),
        );

        self::assertSame(
            [...array_fill(0, 20, Side::Right), ...array_fill(0, 20, Side::Left)],
            $sides,
        );
    }

    public function testSidesThatAlternateLeadInTurn(): void
    {
        $stretch = self::stretch(self::item('gentle-palm-side-press', Hands::Together));
        $sides = array_column(array_column(array_filter(
            self::work($stretch),
            static fn (Played $p): bool => $p->saysSide,
        ), 'place'), 'side');

        self::assertSame([Side::Right, Side::Left], $sides);
    }

    public function testABreathIsTwiceAsLongOutAsInAndNeverCounted(): void
    {
        $breaths = 0;
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach (self::work(self::stretch(self::item($rung->id, Hands::Together))) as $cue) {
                if (!\in_array($cue->kind, [CueKind::BreatheIn, CueKind::BreatheOut], true)) {
                    continue;
                }
                ++$breaths;
                self::assertFalse($cue->countsHold, $rung->id);
                self::assertContains($cue->aloud, [Aloud::Words, Aloud::Nothing], $rung->id);
                if ($cue->place->repetition > 2) {
                    self::assertSame(Aloud::Nothing, $cue->aloud, $rung->id);
                }
            }
        }
        self::assertGreaterThan(20, $breaths);

        $seconds = array_column(
            self::work(self::stretch(self::item('long-out-breath', Hands::Together))),
            'seconds',
        );
        self::assertSame([4.0, 8.0], \array_slice($seconds, 0, 2));
    }

    public function testWhatIsDoneQuietlyIsNeverCountedAloud(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            if (!$rung->walk->isQuiet || null !== $rung->walk->calls) {
                continue;
            }
            foreach (self::work(self::stretch(self::item($rung->id, Hands::Right))) as $cue) {
                self::assertFalse($cue->countsHold, $rung->id);
                self::assertNotContains(
                    $cue->aloud,
                    [Aloud::Number, Aloud::WordsAndNumber, Aloud::LastOne],
                    $rung->id,
                );
            }
        }
    }

    public function testARunOnTheBeatHasACueForEveryNumberForwardsAndBack(): void
    {
        $cues = array_values(array_filter(
            self::work(self::stretch(self::item('numbered-touch-run', Hands::Right))),
            static fn (Played $p): bool => CueKind::Beat === $p->kind,
        ));

        self::assertSame(
            [1, 2, 3, 4, 5, 5, 4, 3, 2, 1],
            \array_slice(array_column($cues, 'number'), 0, 10),
        );
        self::assertSame(1.5, $cues[0]->seconds, 'forty beats a minute');
        self::assertSame(1, array_sum(array_column(\array_slice($cues, 0, 5), 'done')));
    }

    public function testAChainIsPlayedInRoundsWithTheRestBetweenThem(): void
    {
        $kept = array_map(
            static fn (string $id): Item => self::item($id, Hands::Right, block: 'tight hand'),
            ['finger-space-opener', 'close-and-open'],
        );
        $stretch = (new Composer(Side::Right))->stretch($kept, 1);

        $order = [];
        foreach (self::work($stretch) as $cue) {
            $now = [$cue->place->item, $cue->place->set];
            $order = end($order) === $now ? $order : [...$order, $now];
        }
        self::assertSame([[0, 1], [1, 1], [0, 2], [1, 2]], $order);
        self::assertSame(
            [20.0, 5.0],
            array_column(self::of(Part::SetUp, $stretch), 'seconds'),
        );
        self::assertSame([30.0], array_column(self::of(Part::Rest, $stretch), 'seconds'));
    }

    public function testTheSameSeedCallsTheSameNumbersAndAnotherSeedOthers(): void
    {
        $item = self::item('called-numbers-long', Hands::Together);
        $numbers = static fn (int $seed): array => array_column(
            self::work((new Composer(Side::Left))->stretch([$item], $seed)),
            'number',
        );

        self::assertSame($numbers(3), $numbers(3));
        self::assertNotSame($numbers(3), $numbers(4));
    }

    public function testEveryExerciseOfTheCatalogueCountsItsRepetitions(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $dose = $rung->dosing->start;
            self::assertSame(
                $dose->setsPlayed() * $dose->repetitions * $dose->parts,
                array_sum(array_column(self::stretch(self::item($rung->id, Hands::Right))->cues, 'done')),
                $rung->id,
            );
        }
    }

    private static function item(
        string $rungId,
        Hands $hands,
        ?Dose $dose = null,
        ?string $block = null,
    ): Item {
        $rung = Cases::catalogue()->rung($rungId);

        return new Item(
            $rung,
            $hands,
            $dose ?? $rung->dosing->start,
            Phrase::own('a test'),
            block: $block,
        );
    }

    private static function stretch(Item $item): Stretch
    {
        return (new Composer(Side::Left))->stretch([$item], 7);
    }

    /** @return list<Played> */
    private static function work(Stretch $stretch): array
    {
        return self::of(Part::Work, $stretch);
    }

    /** @return list<Played> */
    private static function of(Part $part, Stretch $stretch): array
    {
        return array_values(array_filter(
            $stretch->cues,
            static fn (Played $p): bool => $part === $p->part,
        ));
    }

    private static function routine(int $seed): Sequence
    {
        $catalogue = Cases::catalogue();
        $client = new RandomClient($seed, true);

        return (new Builder($catalogue))->build($client->brief(
            $client->facts([], [], true),
            Goals::one($catalogue->goals[$seed % 6]),
            new Limits([30, 60][$seed % 2]),
        ))->sequence;
    }
}
