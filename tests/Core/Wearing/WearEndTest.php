<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Wearing;

use HandGarden\Core\Wearing\Look;
use HandGarden\Core\Wearing\Mark;
use HandGarden\Core\Wearing\Told;
use HandGarden\Core\Wearing\WearDay;
use HandGarden\Core\Wearing\WearEnd;
use HandGarden\Core\Wearing\WearGrowth;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Core\Wearing\Worn;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WearEndTest extends TestCase
{
    public function testAFaintMarkThatIsGoneInTimeIsClean(): void
    {
        self::assertSame(WearVerdict::Waits, (new WearEnd(self::clear(), Mark::Faint))->verdict());
        self::assertSame(
            WearVerdict::Clean,
            (new WearEnd(self::clear(), Mark::Faint, gone: Told::Yes))->verdict(),
        );
    }

    #[TestWith([Told::No])]
    #[TestWith([Told::NotSure])]
    public function testAMarkThatStaysTakesItAway(Told $gone): void
    {
        self::assertSame(
            WearVerdict::Suspended,
            (new WearEnd(self::clear(), Mark::Deep, gone: $gone))->verdict(),
        );
    }

    public function testBrokenSkinTakesItAwayAtOnce(): void
    {
        $open = new Look(Told::No, Told::Yes, Told::Yes, Told::Yes);

        self::assertSame(WearVerdict::Suspended, (new WearEnd($open, Mark::None))->verdict());
    }

    public function testColourThatComesBackMakesItShorterAndColourThatDoesNotIsAnEmergency(): void
    {
        $pale = new Look(Told::Yes, Told::Yes, Told::No, Told::Yes);
        self::assertSame(WearVerdict::Waits, (new WearEnd($pale, Mark::None))->verdict());
        self::assertSame(WearVerdict::Shorter, (new WearEnd($pale, Mark::None, back: Told::Yes))->verdict());
        $away = new WearEnd($pale, Mark::None, back: Told::NotSure);
        self::assertSame(WearVerdict::Suspended, $away->verdict());
        self::assertTrue($away->isAnEmergency());
    }

    /** Whatever else is answered: a worse answer never leads to a milder verdict. */
    public function testAWorseAnswerNeverLeadsToMoreWear(): void
    {
        $rank = static fn (WearVerdict $v): int => match ($v) {
            WearVerdict::Clean => 0,
            WearVerdict::Waits => 1,
            WearVerdict::Shorter => 2,
            WearVerdict::Suspended => 3,
        };
        $tried = 0;
        foreach (self::ends() as [$answers, $mark, $gone, $back]) {
            $verdict = self::end($answers, $mark, $gone, $back)->verdict();
            foreach (array_keys($answers) as $n) {
                $worse = array_replace($answers, [$n => Told::No]);
                self::assertGreaterThanOrEqual(
                    $rank($verdict),
                    $rank(self::end($worse, $mark, $gone, $back)->verdict()),
                );
                ++$tried;
            }
            self::assertGreaterThanOrEqual(
                $rank($verdict),
                $rank(self::end($answers, Mark::Deep, Told::No, $back)->verdict()),
            );
        }
        self::assertGreaterThan(1_000, $tried);
    }

    public function testLongerIsAskedAfterTwoCleanDaysAndAnythingElseBeginsAnew(): void
    {
        $day = static fn (int $n, int $minutes, WearVerdict $v): WearDay => new WearDay(
            new \DateTimeImmutable('2026-11-'.$n),
            $minutes,
            $v,
        );
        $clean = WearVerdict::Clean;
        $asked = static fn (WearDay ...$days): bool => WearGrowth::of(
            Worn::Band,
            1,
            array_values($days),
        )->isAsked;

        self::assertFalse($asked($day(1, 10, $clean), $day(1, 10, $clean)), 'twice on one day');
        self::assertTrue($asked($day(1, 10, $clean), $day(2, 10, $clean)));
        self::assertFalse($asked($day(1, 10, $clean), $day(2, 4, $clean)), 'taken off early');
        self::assertFalse(
            $asked($day(1, 10, $clean), $day(2, 10, $clean), $day(3, 10, WearVerdict::Shorter)),
        );
        self::assertFalse($asked($day(1, 10, $clean), $day(2, 10, $clean), $day(3, 10, WearVerdict::Waits)));
        self::assertFalse(
            WearGrowth::of(Worn::Band, 3, [$day(1, 20, $clean), $day(2, 20, $clean)])->isAsked,
            'there is nothing longer',
        );
    }

    /** @return iterable<array{list<Told>, Mark, ?Told, ?Told}> */
    private static function ends(): iterable
    {
        foreach ([Told::Yes, Told::NotSure] as $skin) {
            foreach (Told::cases() as $comfort) {
                foreach (Told::cases() as $colour) {
                    foreach (Told::cases() as $warmth) {
                        foreach (Mark::cases() as $mark) {
                            foreach ([null, Told::Yes, Told::No] as $gone) {
                                foreach ([Told::Yes, Told::No] as $back) {
                                    yield [[$skin, $comfort, $colour, $warmth], $mark, $gone, $back];
                                }
                            }
                        }
                    }
                }
            }
        }
    }

    /** @param array<int, Told> $answers */
    private static function end(array $answers, Mark $mark, ?Told $gone, ?Told $back): WearEnd
    {
        [$skin, $comfort, $colour, $warmth] = array_values(
            $answers,
        ) + [Told::No, Told::No, Told::No, Told::No];

        return new WearEnd(new Look($skin, $comfort, $colour, $warmth), $mark, gone: $gone, back: $back);
    }

    private static function clear(): Look
    {
        return new Look(Told::Yes, Told::Yes, Told::Yes, Told::Yes);
    }
}
