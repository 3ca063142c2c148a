<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Twelve weeks of a client, told in spans of days, and the cards that a therapist should find on some of them. Nobody
 * answers in between: each card is what the log alone asks for.
 */
final class TwelveWeeksTest extends TestCase
{
    private const BEGIN = '2026-09-07';

    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        $files = glob(self::dir().'/*.json');
        foreach (false === $files ? [] : $files as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    #[DataProvider('cases')]
    public function testTheCardsOfTheDaysAreThoseThatAreExpected(string $file): void
    {
        $case = self::read($file);
        foreach ($case->get('expect')->items() as $expected) {
            $day = $expected->get('day')->int();

            self::assertSame(
                $expected->get('cards')->strings(),
                $this->cards(
                    $case,
                    self::lines($case),
                    $day,
                ),
                'day '.$day,
            );
        }
    }

    #[DataProvider('cases')]
    public function testTheOrderOfArrivalAndASecondComingChangeNothing(string $file): void
    {
        $case = self::read($file);
        $lines = self::lines($case);
        foreach (self::days($case) as $day) {
            $expected = $this->cards($case, $lines, $day);
            foreach ([1, 2, 3] as $seed) {
                $shuffled = (new \Random\Randomizer(new \Random\Engine\Mt19937($seed)))->shuffleArray(
                    $lines,
                );

                self::assertSame(
                    $expected,
                    $this->cards($case, $shuffled, $day),
                    'day '.$day,
                );
                self::assertSame(
                    $expected,
                    $this->cards(
                        $case,
                        [...$lines, ...\array_slice($shuffled, 0, 20)],
                        $day,
                    ),
                );
            }
        }
    }

    #[DataProvider('cases')]
    public function testACorrectionOfOneItemLeavesTheCardsOfTheOthers(string $file): void
    {
        $case = self::read($file);
        $lines = self::lines($case);
        $items = array_map(
            static fn (Prescribed $p): string => $p->rung->id,
            self::items($case),
        );
        $day = max(self::days($case));
        $mended = $items[0];
        $from = self::day($day - 4);
        $corrected = array_map(
            static fn (LogLine $l): LogLine => $l->rungId === $mended && $l->day >= $from
                ? self::reaching($l, 1)
                : $l,
            $lines,
        );

        self::assertSame(
            self::ofOthers(
                $mended,
                $this->cards($case, $lines, $day),
            ),
            self::ofOthers(
                $mended,
                $this->cards($case, $corrected, $day),
            ),
        );
        self::assertNotContains(
            'advance.hold-count '.$mended,
            $this->cards($case, $corrected, $day),
            'what was not held carries no step',
        );
    }

    /** @return non-empty-list<int> */
    private static function days(Node $case): array
    {
        $days = array_map(
            static fn (Node $n): int => $n->get('day')->int(),
            $case->get('expect')->items(),
        );
        \assert([] !== $days);

        return $days;
    }

    /**
     * @param list<string> $cards
     *
     * @return list<string> of single exercises, without those of one
     */
    private static function ofOthers(string $rungId, array $cards): array
    {
        return array_values(array_filter(
            $cards,
            static fn (string $card): bool => !str_ends_with($card, $rungId) && str_contains(
                $card,
                ' ',
            ),
        ));
    }

    private static function reaching(LogLine $line, int $holdSeconds): LogLine
    {
        /** @var array{string, string, string, Hands, Dose, \DateTimeImmutable, Outcome} $all by property */
        $all = ['holdSeconds' => $holdSeconds] + get_object_vars($line);

        return new LogLine(...$all);
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<string> rule and exercise, in alphabetical order
     */
    private function cards(Node $case, array $lines, int $day): array
    {
        $today = self::day($day);
        $asked = (new Proposer(Cases::catalogue()))->asked(
            self::items($case),
            new SittingLog(array_values(array_filter(
                $lines,
                static fn (LogLine $l): bool => $l->day <= $today,
            ))),
            new Situation(
                $case->get('conditions')->enums(Condition::class),
                $case->get('days_per_week')->int(),
                $today,
            ),
        );
        $cards = array_map(
            static fn (Proposal $p): string => trim($p->ruleId.' '.($p->rungId ?? '')),
            $asked->proposals,
        );
        sort($cards);

        return $cards;
    }

    /** @return list<Prescribed> */
    private static function items(Node $case): array
    {
        return array_map(static function (Node $item): Prescribed {
            $key = ItemKey::fromText(
                $item->get('key')->string(),
            );
            \assert(null !== $key);
            $rung = Cases::catalogue()->rung($key->rungId);
            $hold = $item->optional('hold')?->int();

            return new Prescribed(
                $rung,
                $key->hands,
                null === $hold ? $rung->dosing->start : $rung->dosing->start->withHold($hold),
            );
        }, $case->get('items')->items());
    }

    /** @return list<LogLine> in the order in which they were made */
    private static function lines(Node $case): array
    {
        $format = new LogFormat(Cases::catalogue());
        $lines = [];
        foreach ($case->get('log')->items() as $span) {
            for ($day = $span->get('from')->int(); $day <= $span->get('to')->int(); ++$day) {
                if (!\in_array(
                    $day % 7,
                    array_map(
                        static fn (Node $n): int => $n->int(),
                        $span->get('weekdays')->items(),
                    ),
                    true,
                )) {
                    continue;
                }
                foreach (self::items($case) as $item) {
                    $only = $span->optional('only')?->string();
                    if (null === $only || $only === $item->rung->id) {
                        $lines[] = self::line(
                            $format,
                            $span->get('told'),
                            $item,
                            $day,
                        );
                    }
                }
            }
        }

        return $lines;
    }

    private static function line(LogFormat $format, Node $told, Prescribed $item, int $day): LogLine
    {
        $body = array_map(
            static fn (Node $n): mixed => $n->raw(),
            $told->map(),
        );

        return $format->read(Node::root([
            'id' => $item->rung->id.' '.$day,
            'sitting' => 'sitting '.$day,
            'rung' => $item->rung->id,
            'hands' => $item->hands->value,
            'dose' => ['hold' => $item->dose->holdSeconds],
            'on' => self::day($day)->format('Y-m-d'),
        ] + $body));
    }

    /** Days are counted from 1, which is a Monday. */
    private static function day(int $day): \DateTimeImmutable
    {
        return (new \DateTimeImmutable(self::BEGIN, new \DateTimeZone('UTC')))->modify(
            '+'.($day - 1).' days',
        );
    }

    private static function read(string $file): Node
    {
        return Node::fromJson(
            (string) file_get_contents($file),
            basename($file),
        );
    }

    private static function dir(): string
    {
        return Cases::root().'/tests/Core/fixtures/weeks';
    }
}
