<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Uid\Uuid;

/** The database of an earlier version, with what is rare in it, keeps all it holds. */
final class MovedDataTest extends TestCase
{
    private const DUMP = __DIR__.'/../fixtures/moved/demonstration.sql.gz';
    /** Before this there is no way back. */
    private const CODES = 'HandGarden\\Migrations\\Version20261130180000';
    private const SITTINGS = 53;
    private const LINES = 588;

    private static OwnDatabase $own;

    /** @var list<array<string, string>> lines as they were */
    private static array $before;

    public static function setUpBeforeClass(): void
    {
        self::$own = OwnDatabase::made('moved');
        $dump = (string) gzdecode((string) file_get_contents(self::DUMP));
        self::$own->connection->exec((string) preg_replace('/^\\\\.*$/m', '', $dump));
        self::$own->connection->exec('SET search_path TO public');
        self::$own->connection->exec(self::rare());
        self::$before = self::$own->rows(
            'SELECT id, item, rung_id, hands, dose::text, body::text FROM log_entry',
        );
        self::$own->console('doctrine:migrations:migrate', '--allow-no-migration')->mustRun();
    }

    public function testEverySittingKeepsItsItemsInTheirOrder(): void
    {
        self::assertSame(self::SITTINGS, self::all('sitting'));
        self::assertSame(
            self::LINES + 2,
            self::$own->number("SELECT count(*) FROM sitting_item WHERE planned->>'reason' IS NOT NULL"),
            'an item a line, one exercise that is gone, and one that only a line knew',
        );
        self::assertSame(
            1,
            self::$own->number("SELECT count(*) FROM sitting_item WHERE rung_id = 'long-gone'"),
        );
    }

    public function testEveryLineIsAnEventOfTheItemItSpokeOf(): void
    {
        self::assertSame(
            \count(self::$before),
            self::$own->number("SELECT count(*) FROM sitting_event WHERE kind = 'line'"),
        );
        foreach (self::$before as $line) {
            $item = self::$own->rows(
                'SELECT i.rung_id, i.hands, i.planned, e.body FROM sitting_event e
                    JOIN sitting_item i ON i.id = e.item_id WHERE e.id = ?',
                $line['id'],
            )[0] ?? null;
            self::assertNotNull($item, $line['id']);
            self::assertSame([$line['rung_id'], $line['hands']], [$item['rung_id'], $item['hands']]);
            // trick movements are codes now: their words are the only values with a blank
            $written = preg_replace('/"(\w+) (\w+)"/', '"$1-$2"', $line['body']);
            self::assertEquals(json_decode((string) $written, true), json_decode($item['body'], true));
        }
    }

    public function testAnItemsIdIsMadeOfSittingAndPlace(): void
    {
        $item = self::$own->rows(
            'SELECT id, sitting_id, place FROM sitting_item WHERE place = 2 LIMIT 1',
        )[0];

        self::assertSame(
            Uuid::v5(Uuid::fromString($item['sitting_id']), $item['place'])->toRfc4122(),
            $item['id'],
        );
    }

    public function testStartEndAndLatePainAreEvents(): void
    {
        self::assertSame(
            self::SITTINGS,
            self::$own->number("SELECT count(*) FROM sitting_event WHERE kind = 'begun'"),
        );
        self::assertSame(
            self::SITTINGS,
            self::$own->number("SELECT count(*) FROM sitting_event WHERE kind = 'finished'"),
        );
        self::assertSame(
            1,
            self::$own->number("SELECT count(*) FROM sitting_event WHERE kind = 'hurt-later'"),
        );
        self::assertSame(
            1,
            self::$own->number("SELECT count(*) FROM sitting_item WHERE (told->>'hurt_later')::boolean"),
        );
    }

    public function testTwoLinesOfOneItemFoldToOneAndThePainStays(): void
    {
        $told = self::$own->rows(
            'SELECT told FROM sitting_item WHERE id IN (
                SELECT item_id FROM sitting_event WHERE kind = \'line\' GROUP BY item_id HAVING count(*) = 2
            )',
        );

        self::assertCount(1, $told);
        self::assertStringContainsString('"pain_after": 6', $told[0]['told']);
    }

    public function testAnAnsweredProposalStaysAnswered(): void
    {
        self::assertSame(2, self::all('decision'));
        self::assertSame(
            1,
            self::$own->number(
                "SELECT count(*) FROM decision d
                    JOIN sitting_item i ON i.id::text = split_part(d.proposal_key, '|', 4)",
            ),
            'one rests on a line, the other one on a line that was never there',
        );
    }

    public function testTheDoseOfRecordIsTheNewestPrescribedOrTheLowestOfTheCurrentRoutines(): void
    {
        $ofRecord = self::$own->rows(
            'SELECT source, count(*) AS n FROM prescribed_dose GROUP BY source ORDER BY source',
        );
        self::assertSame('moved', $ofRecord[0]['source'] ?? null);
        self::assertSame(['source' => 'therapist', 'n' => '2'], $ofRecord[1] ?? null, 'as they were');
        self::assertSame(
            0,
            self::$own->number(
                "SELECT count(*) FROM routine r, json_array_elements(r.items) i
                    WHERE coalesce((i->>'pause')::boolean, false) = false AND NOT EXISTS (
                        SELECT 1 FROM prescribed_dose d
                        WHERE d.client_id = r.client_id AND d.item_key = i->>'rung' || '|' || (i->>'hands')
                    )",
            ),
            'each item has one',
        );
        self::assertSame(0, self::$own->number(
            "SELECT count(*) FROM routine r, json_array_elements(r.items) i WHERE i->'dose' IS NOT NULL",
        ));
        self::assertSame(1, self::$own->number(
            "SELECT count(*) FROM prescribed_dose WHERE source = 'moved' AND (dose->>'repetitions')::int = 1
                AND (dose->>'hold')::int = 0 AND (dose->>'rest')::int = 99",
        ), 'the lowest of home and clinic, with the longer rest');
    }

    public function testWordsThatWereStoredAreCodes(): void
    {
        self::assertGreaterThan(0, self::$own->number(
            "SELECT count(*) FROM sitting_item WHERE told->'compensations' @> '[\"trunk-lean\"]'",
        ));
        self::assertSame(0, self::$own->number(
            "SELECT count(*) FROM sitting_item WHERE told->>'compensations' LIKE '% lean%'",
        ));
        self::assertSame(0, self::$own->number("SELECT count(*) FROM reading WHERE medication LIKE '% %'"));
        self::assertSame(1, self::$own->number("SELECT count(*) FROM decision WHERE kind = 'next-rung'"));
    }

    public function testWhoActedIsAnActorAndNobodyWasLost(): void
    {
        foreach (['sitting', 'decision', 'audit_line'] as $table) {
            self::assertSame(
                0,
                self::$own->number(
                    "SELECT count(*) FROM $table t WHERE actor_kind <> 'staff'
                        OR NOT EXISTS (SELECT 1 FROM staff s WHERE s.id::text = t.actor_id)",
                ),
                $table,
            );
        }
        self::assertSame(self::all('sitting'), self::$own->number(
            "SELECT count(*) FROM sitting s JOIN sitting_event e ON e.sitting_id = s.id AND e.kind = 'begun'
                AND e.actor_id = s.actor_id",
        ), 'the same who began it');
    }

    public function testWhatWasSaidBeforeIsKeptAsItWasSaid(): void
    {
        $said = self::$own->rows("SELECT why #>> '{}' AS why FROM decision ORDER BY 1");

        self::assertSame(['Longer', 'No step up'], array_column($said, 'why'));
        self::assertSame(
            0,
            self::$own->number("SELECT count(*) FROM decision WHERE jsonb_typeof(why) <> 'string'"),
        );
        self::assertSame(
            0,
            self::$own->number("SELECT count(*) FROM suspension WHERE jsonb_typeof(why) <> 'string'"),
        );
    }

    public function testEachItemIsRememberedSinceItsFirstDay(): void
    {
        self::assertGreaterThan(0, self::all('item_memory'));
        self::assertSame(0, self::$own->number(
            "SELECT count(*) FROM sitting_item i WHERE told->>'outcome' <> 'skipped' AND NOT EXISTS (
                SELECT 1 FROM item_memory m WHERE m.client_id = i.client_id
                    AND m.item_key = i.rung_id || '|' || i.hands AND i.day BETWEEN m.first_day AND m.last_day
            )",
        ));
    }

    /** The last test of these: it takes the tables apart. */
    public function testDownAndUpAgainKeepsTheRowsAndTheTables(): void
    {
        $columns = "SELECT table_name, column_name, data_type, is_nullable FROM information_schema.columns
            WHERE table_schema = 'public' ORDER BY table_name, column_name";
        $tables = ['client', 'sitting', 'sitting_event', 'sitting_item', 'audit_line', 'prescribed_dose', 'decision'];
        $count = static fn (): array => array_map(self::all(...), array_combine($tables, $tables));
        $before = [self::$own->rows($columns), $count()];
        self::$own->console('doctrine:migrations:migrate', self::CODES)->mustRun();
        self::assertNotSame($before[0], self::$own->rows($columns), 'it did go down');
        self::$own->console('doctrine:migrations:migrate', 'latest')->mustRun();

        self::assertSame($before, [self::$own->rows($columns), $count()]);
        $further = self::$own->console('doctrine:migrations:migrate', 'first');
        $further->run();
        self::assertNotSame(0, $further->getExitCode());
        self::assertStringContainsString('The program reads codes', $further->getErrorOutput());
    }

    /** An exercise that is gone, a line without its item, a line twice, late pain, answered proposals. */
    private static function rare(): string
    {
        return <<<'SQL'
            UPDATE sitting SET items = (jsonb_build_array(jsonb_build_object(
                'rung', 'long-gone', 'hands', 'right', 'dose', items->0->'dose', 'reason', 'it was there once'
            )) || items::jsonb)::json
            WHERE id = (SELECT min(id::text)::uuid FROM sitting);
            INSERT INTO log_entry SELECT hurt_later, gen_random_uuid(), clinic_id, client_id, sitting_id, 3,
                'only-a-line', hands, dose, body, body_hash, day, clock_off, device_at, received_at, by_staff_id
            FROM log_entry ORDER BY received_at, id LIMIT 1;
            INSERT INTO log_entry SELECT hurt_later, gen_random_uuid(), clinic_id, client_id, sitting_id, item,
                rung_id, hands, dose,
                '{"outcome": "part", "pain_before": 1, "pain_after": 6, "compensations": ["trunk lean"]}',
                body_hash, day, clock_off, device_at - interval '1 minute', received_at, by_staff_id
            FROM log_entry WHERE rung_id <> 'only-a-line' ORDER BY received_at DESC, id DESC LIMIT 1;
            UPDATE log_entry SET hurt_later = true WHERE id = (
                SELECT id FROM log_entry WHERE rung_id <> 'only-a-line' ORDER BY received_at, id LIMIT 1
            );
            INSERT INTO decision (
                id, clinic_id, client_id, proposal_key, kind, text, answer, note, by_staff_id, at
            )
            SELECT gen_random_uuid(), clinic_id, client_id, 'advance.hold|' || rung_id || '|' || hands || '|' || id,
                'advance', 'Longer', 'declined', '', by_staff_id, received_at
            FROM log_entry WHERE rung_id <> 'only-a-line' ORDER BY received_at, id LIMIT 1;
            INSERT INTO decision (
                id, clinic_id, client_id, proposal_key, kind, text, answer, note, by_staff_id, at
            )
            SELECT gen_random_uuid(), clinic_id, client_id, 'plateau|x|right|gone', 'next rung', 'No step up',
                'accepted', '', by_staff_id, received_at
            FROM log_entry LIMIT 1;
            INSERT INTO routine SELECT gen_random_uuid(), 1, clinic_id, client_id, json_build_array((
                SELECT i.item::jsonb || jsonb_build_object('dose', '{"sets": 2, "repetitions": 1, "parts": 1,
                    "move": 3, "hold": 0, "rest": 99, "load": 0}'::jsonb)
                FROM json_array_elements(r.items) WITH ORDINALITY AS i (item, nth)
                WHERE NOT EXISTS (
                    SELECT 1 FROM prescribed_dose d WHERE d.client_id = r.client_id
                        AND d.item_key = item->>'rung' || '|' || (item->>'hands')
                ) ORDER BY nth LIMIT 1
            )), left_out, with_more, by_staff_id, made_at, 'clinic', value, bound, forbidden
            FROM routine r ORDER BY id LIMIT 1;
            SQL;
    }

    private static function all(string $table): int
    {
        return self::$own->number('SELECT count(*) FROM '.$table);
    }
}
