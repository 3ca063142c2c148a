<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Routine\Hands;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/** Sittings and their log. */
final class SittingRepository implements ResetInterface
{
    /**
     * Rules look back 14 days and ask whether there was anything before; a week more stays the same however long
     * the history is.
     */
    private const LOG_DAYS = 21;
    private const LOG = 'SELECT id, client_id, sitting_id, rung_id, hands, dose, body, hurt_later, day FROM log_entry
        WHERE client_id IN (?) AND clinic_id = ?
          AND (day >= CURRENT_DATE - ?::int OR id IN (
            SELECT DISTINCT ON (client_id) id FROM log_entry
            WHERE client_id IN (?) ORDER BY client_id, received_at DESC, id DESC
          ))
        ORDER BY received_at, id';

    /** @var array<string, Dose> by rung and stored form */
    private array $doses = [];

    /** @var array<string, SittingLog> one query a request */
    private array $logs = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly CatalogueStore $catalogue,
    ) {
    }

    public function find(string $clinicId, string $id): ?Sitting
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Sitting::class)->findOneBy(
                ['id' => $id, 'clinicId' => $clinicId],
            )
            : null;
    }

    /** @return list<SittingLine> newest first */
    public function recent(Client $client, int $most): array
    {
        return array_map(static function (array $values): SittingLine {
            $row = new Row($values);

            return new SittingLine(
                $row->text('id'),
                $row->day('day'),
                true === $row->bool('finished'),
                $row->text('note'),
            );
        }, $this->entities->getConnection()->fetchAllAssociative(
            'SELECT id, day, finished_at IS NOT NULL AS finished, note FROM sitting WHERE client_id = ? AND '
                .'clinic_id = ? ORDER BY started_at DESC, id DESC LIMIT '
                .$most,
            [
                $client->id,
                $client->clinicId,
            ],
        ));
    }

    /** The log of the last weeks, see LOG_DAYS, and the newest line however old. */
    public function log(Client $client): SittingLog
    {
        return $this->logs([$client])[$client->id];
    }

    /**
     * @param list<Client> $clients of one clinic
     *
     * @return array<string, SittingLog> by client id
     */
    public function logs(array $clients): array
    {
        $ids = array_values(
            array_filter(
                array_map(static fn (Client $c): string => $c->id, $clients),
                fn (string $id): bool => !isset($this->logs[$id]),
            ),
        );
        if ([] !== $ids) {
            $lines = array_fill_keys($ids, []);
            foreach (
                $this->entities->getConnection()->fetchAllAssociative(
                    self::LOG,
                    [$ids, $clients[0]->clinicId, self::LOG_DAYS, $ids],
                    [
                        ArrayParameterType::STRING,
                        ParameterType::STRING,
                        ParameterType::INTEGER,
                        ArrayParameterType::STRING,
                    ],
                ) as $values
            ) {
                $row = new Row($values);
                if ($this->catalogue->get()->hasRung($row->text('rung_id'))) {
                    $lines[$row->text('client_id')][] = $this->line($row);
                }
            }
            $this->logs = [
                ...$this->logs,
                ...array_map(static fn (array $of): SittingLog => new SittingLog($of), $lines),
            ];
        }

        return $this->logs;
    }

    /** @return list<LogEntry> in the order of the items */
    public function entries(Sitting $sitting): array
    {
        return $this->entities->getRepository(LogEntry::class)->findBy(
            ['sittingId' => $sitting->id, 'clinicId' => $sitting->clinicId],
            ['item' => 'ASC', 'receivedAt' => 'ASC'],
        );
    }

    /** @return list<LogEntry> of the last sitting in which anything was logged */
    public function lastLogged(Client $client): array
    {
        $last = $this->entities->getRepository(LogEntry::class)->findOneBy(
            ['clientId' => $client->id, 'clinicId' => $client->clinicId],
            ['receivedAt' => 'DESC', 'id' => 'DESC'],
        );

        return null === $last
            ? []
            : $this->entities->getRepository(LogEntry::class)->findBy(
                ['sittingId' => $last->sittingId, 'clinicId' => $client->clinicId],
                ['item' => 'ASC'],
            );
    }

    public function entry(string $id): ?LogEntry
    {
        return $this->entities->find(LogEntry::class, $id);
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
        $this->logs = [];
    }

    private function line(Row $row): LogLine
    {
        $rungId = $row->text('rung_id');
        $dose = $row->text('dose');

        return LogFormat::stored(
            $row->json('body'),
            $row->text('id'),
            $row->text('sitting_id'),
            $rungId,
            hands: Hands::from($row->text('hands')),
            // hundreds of lines share a few doses
            dose: $this->doses[$rungId.$dose] ??= DoseFormat::read(
                Node::root($row->json('dose')),
                $this->catalogue->get()->rung($rungId)->startDose,
            ),
            day: $row->day('day'),
            hurtLater: true === $row->bool('hurt_later'),
        );
    }

    public function reset(): void
    {
        $this->logs = [];
    }
}
