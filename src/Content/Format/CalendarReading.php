<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Week\BusyTimes;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Reads a calendar that somebody handed in. Its rules can be written so that working them out never ends or eats all
 * memory, so it is done in a process of its own, which is ended when it takes too long.
 */
final readonly class CalendarReading
{
    private const SECONDS = 4.0;
    private const MEMORY = '96M';

    public function __construct(
        private float $seconds = self::SECONDS,
    ) {
    }

    /** @throws InvalidData with the reason */
    public function busy(
        string $text,
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        \DateTimeZone $zone,
    ): BusyTimes {
        $reading = new Process(
            [
                (string) (new PhpExecutableFinder())->find(),
                '-d',
                'memory_limit='.self::MEMORY,
                '-d',
                'display_errors=stderr',
                \dirname(__DIR__, 3).'/bin/lib/read-calendar.php',
                $from->format('Y-m-d'),
                $to->format('Y-m-d'),
                $zone->getName(),
            ],
            env: ['DATABASE_URL' => false, 'APP_SECRET' => false, 'DEMO_PASSWORD' => false],
            input: $text,
            timeout: $this->seconds,
        );
        try {
            $reading->run();
        } catch (ProcessTimedOutException) {
            throw InvalidData::at('calendar', 'holds a repetition that takes too long to work out');
        }
        if (!$reading->isSuccessful()) {
            throw InvalidData::at('calendar', 'holds more than can be worked out');
        }
        $found = Node::fromJson($reading->getOutput());
        if ($found->has('problem')) {
            throw InvalidData::at('calendar', $found->get('problem')->string());
        }

        return BusyTimes::from(array_map(self::span(...), $found->get('busy')->items()));
    }

    /** @return array{int, int} */
    private static function span(Node $span): array
    {
        [$from, $to] = $span->items();

        return [$from->int(), $to->int()];
    }
}
