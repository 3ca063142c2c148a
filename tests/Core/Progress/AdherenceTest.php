<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Progress\Adherence;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** How much was done of what was planned, by exercise, and why not. */
final class AdherenceTest extends TestCase
{
    private const RUNG = 'helped-lift-hold';
    private const OTHER = 'wrist-forward-release';

    public function testAPartIsHalfAndMoreThanAllIsAll(): void
    {
        $lines = [
            $this->line(self::RUNG, 1),
            $this->line(self::RUNG, 2, Outcome::Part),
        ];
        for ($day = 1; $day <= 13; ++$day) {
            $lines[] = $this->line(self::OTHER, $day);
        }
        $found = $this->adherence($lines);

        self::assertSame(
            self::RUNG,
            $found[0]->item->rung->id,
            'the least done comes first',
        );
        self::assertSame(
            [10.0, 1.5],
            [$found[0]->planned, $found[0]->done],
        );
        self::assertSame(
            [10.0, 1.0],
            [$found[1]->done, $found[1]->share()],
        );
    }

    public function testReasonsAreCountedAndTheMostFrequentLeads(): void
    {
        $found = $this->adherence([
            $this->line(
                self::RUNG,
                1,
                Outcome::Skipped,
                SkipReason::Ill,
            ),
            $this->line(
                self::RUNG,
                2,
                Outcome::Skipped,
                SkipReason::Tired,
            ),
            $this->line(
                self::RUNG,
                3,
                Outcome::Part,
                SkipReason::Tired,
            ),
            $this->line(
                self::OTHER,
                3,
                Outcome::Skipped,
                SkipReason::Ill,
            ),
            $this->line(
                self::OTHER,
                4,
                Outcome::Skipped,
                SkipReason::Ill,
            ),
        ]);

        $own = array_values(
            array_filter($found, static fn (Adherence $a): bool => self::RUNG === $a->item->rung->id),
        );
        self::assertSame(
            SkipReason::Tired,
            $own[0]->mostly(),
        );
        self::assertSame(
            ['ill' => 3, 'tired' => 2],
            Adherence::reasonsOf($found),
        );
    }

    public function testWhatRestsIsNotAskedForAndWhatTakesTurnsIsPlannedByHalf(): void
    {
        $found = $this->adherence(
            [$this->line(self::RUNG, 1)],
            suspended: [self::OTHER.'|right'],
            share: 0.5,
        );

        self::assertCount(1, $found);
        self::assertSame(5.0, $found[0]->planned);
        self::assertNull($found[0]->mostly());
    }

    /**
     * @param list<LogLine> $lines
     * @param list<string>  $suspended
     *
     * @return list<Adherence>
     */
    private function adherence(array $lines, array $suspended = [], float $share = 1.0): array
    {
        $items = array_map(static function (string $id) use ($share): Prescribed {
            $rung = Cases::catalogue()->rung($id);

            return new Prescribed(
                $rung,
                Hands::Right,
                $rung->dosing->start,
                $share,
            );
        }, [self::RUNG, self::OTHER]);

        return Adherence::of(
            $items,
            new SittingLog($lines),
            5,
            since: self::day(1),
            today: self::day(15),
            suspended: $suspended,
        );
    }

    private function line(
        string $rungId,
        int $day,
        Outcome $outcome = Outcome::Done,
        ?SkipReason $reason = null,
    ): LogLine {
        return new LogLine(
            $rungId.$day,
            'sitting '.$day,
            $rungId,
            Hands::Right,
            dose: Cases::catalogue()->rung($rungId)->dosing->start,
            day: self::day($day),
            outcome: $outcome,
            reason: $reason,
        );
    }

    private static function day(int $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable(
            \sprintf('2026-11-%02d', $day),
            new \DateTimeZone('UTC'),
        );
    }
}
