<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The command of the day beside itself, and killed on its way, on a database of its own. */
final class DayTest extends TestCase
{
    private const COPIES = 40;

    private static \PDO $database;

    private static OwnDatabase $own;

    public static function setUpBeforeClass(): void
    {
        self::$own = OwnDatabase::made('day');
        self::$database = self::$own->connection;
        self::$own->console('doctrine:migrations:migrate', '--allow-no-migration')->mustRun();
        self::$own->console('garden:demo:load')->mustRun();
        self::$database->exec(
            'CREATE TEMPORARY TABLE copies AS SELECT c.*, n FROM client c, generate_series(1, '.self::COPIES.') n
                WHERE c.given_name = \'Odalys\';
            UPDATE copies SET id = gen_random_uuid(), family_name = \'Copy \' || n;
            ALTER TABLE copies DROP n;
            INSERT INTO client SELECT * FROM copies',
        );
        self::$own->console('garden:caseload:rebuild')->mustRun();
    }

    public function testTwoAtOnceRenewEachRowOnce(): void
    {
        self::$database->exec("UPDATE caseload_row SET stale_from = '1970-01-01'");
        $runs = [self::day(), self::day()];
        $renewed = 0;
        foreach ($runs as $run) {
            $run->wait();
            self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
            $renewed += (int) $run->getOutput();
        }

        self::assertSame(self::rows(), $renewed);
        self::assertSame(0, self::stale());
    }

    public function testWhatIsKilledOnItsWayLeavesRowsWholeAndTheNextRunGoesOn(): void
    {
        $before = self::summaries();
        self::$database->exec("UPDATE caseload_row SET stale_from = '1970-01-01', summary = NULL");
        $killed = self::day();
        while (0 === self::made() && $killed->isRunning()) {
            usleep(2_000); // asks the database, not the clock: the first row decides
        }
        $killed->signal(\SIGKILL);
        $killed->wait();
        $made = self::made();
        self::assertSame($made + self::stale(), self::rows(), 'each row is old or new, none in between');
        $rest = self::day();
        $rest->wait();

        self::assertSame(self::rows() - $made, (int) $rest->getOutput());
        self::assertSame($before, self::summaries());
    }

    private static function day(): Process
    {
        $day = self::$own->console('garden:day');
        $day->start();

        return $day;
    }

    private static function rows(): int
    {
        return self::$own->number('SELECT count(*) FROM caseload_row');
    }

    private static function stale(): int
    {
        return self::$own->number('SELECT count(*) FROM caseload_row WHERE stale_from <= now()');
    }

    private static function made(): int
    {
        return self::$own->number('SELECT count(*) FROM caseload_row WHERE summary IS NOT NULL');
    }

    /** @return list<array<string, string>> */
    private static function summaries(): array
    {
        return self::$own->rows('SELECT client_id, grouped, summary FROM caseload_row ORDER BY client_id');
    }
}
