<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use HandGarden\Content\Format\CalendarReading;
use HandGarden\Core\Data\InvalidData;

final class Version20261202000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Of a calendar only the busy times are kept; forms that were never answered count as not sent';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('DELETE FROM form_sent WHERE led_to IS NULL');
        $this->addSql("ALTER TABLE week_times ADD busy JSONB NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE week_times ALTER busy DROP DEFAULT');
        $this->addSql('ALTER TABLE week_times ADD read_to DATE DEFAULT NULL');
        $this->addSql("UPDATE week_times SET calendar_name = '' WHERE calendar <> ''");
        foreach ($this->calendars() as $kept) {
            $zone = new \DateTimeZone($kept['zone']);
            $from = new \DateTimeImmutable('monday this week -4 weeks', $zone);
            $to = new \DateTimeImmutable('monday this week +54 weeks', $zone);
            try {
                $busy = (new CalendarReading())->busy($kept['calendar'], $from, $to, $zone);
            } catch (InvalidData $e) {
                $this->write('A calendar is forgotten, it '.$e->problem.'.');
                continue;
            }
            $this->addSql(
                'UPDATE week_times SET busy = ?, read_to = ?, calendar_name = ? WHERE id = ?',
                [
                    json_encode($busy->spans, \JSON_THROW_ON_ERROR),
                    $to->format('Y-m-d'),
                    $kept['calendar_name'],
                    $kept['id'],
                ],
            );
        }
        $this->addSql('ALTER TABLE week_times DROP calendar');
    }

    /** The files themselves are gone: busy times cannot be made into one again. */
    public function down(Schema $schema): void
    {
        $this->addSql("ALTER TABLE week_times ADD calendar TEXT NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE week_times ALTER calendar DROP DEFAULT');
        $this->addSql("UPDATE week_times SET calendar_name = ''");
        $this->addSql('ALTER TABLE week_times DROP busy');
        $this->addSql('ALTER TABLE week_times DROP read_to');
    }

    /** @return list<array{id: string, calendar: string, calendar_name: string, zone: string}> */
    private function calendars(): array
    {
        /** @var list<array{id: string, calendar: string, calendar_name: string, zone: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            "SELECT w.id, w.calendar, w.calendar_name, c.zone FROM week_times w JOIN client c ON c.id = w.client_id
                WHERE w.calendar <> ''",
        );

        return $rows;
    }
}
