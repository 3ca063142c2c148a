<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Query;
use Doctrine\ORM\Query\Parameter;
use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Web\Clock;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/** Sittings and their log. */
final class SittingRepository implements ResetInterface
{
    private const LOG = "SELECT i.id, sitting_id, rung_id, hands, planned->>'dose' AS dose, told, day,
            COALESCE(first_day, day) AS begun
        FROM sitting_item i
        LEFT JOIN item_memory m ON m.client_id = i.client_id AND m.item_key = i.rung_id || '|' || i.hands
        WHERE i.client_id = :client AND i.clinic_id = :clinic AND told IS NOT NULL
          AND (day >= :since OR i.id = (
            SELECT id FROM sitting_item
            WHERE client_id = :client AND told IS NOT NULL ORDER BY day DESC, at DESC, id DESC LIMIT 1
          ))
        ORDER BY at, place, i.id";

    private const NONE = '00000000-0000-0000-0000-000000000000';

    /** @var array<string, Dose> by rung and stored form */
    private array $doses = [];

    /** @var array<string, SittingLog> one query a request */
    private array $logs = [];

    public function __construct(
        private readonly ClinicSettings $settings,
        private readonly EntityManagerInterface $entities,
        private readonly CatalogueStore $catalogue,
        private readonly Clock $clock,
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

    /**
     * With its client, for somebody who is about to change what is kept of them: one at a time, the others wait.
     *
     * @return array{Sitting, Client}|null
     */
    public function findToChange(string $clinicId, string $id): ?array
    {
        /** @var list<object> $found */
        $found = $this->entities
            ->createQuery(
                'SELECT s, c FROM '.Sitting::class.' s, '.Client::class.' c'
                    .' WHERE s.id = :id AND s.clinicId = :clinic AND c.id = s.clientId AND c.clinicId = s.clinicId',
            )
            ->setParameter('id', $id)
            ->setParameter('clinic', $clinicId)
            ->setLockMode(LockMode::PESSIMISTIC_WRITE)
            ->setHint(Query::HINT_REFRESH, true)
            ->getResult();
        [$sitting, $client] = [...$found, null, null];

        return $sitting instanceof Sitting && $client instanceof Client ? [$sitting, $client] : null;
    }

    /** Id of the client whose sitting this is; '' when there is none. */
    public function clientOf(string $clinicId, string $id): string
    {
        $clientId = Uuid::isValid($id)
            ? $this->entities->getConnection()->fetchOne(
                'SELECT client_id FROM sitting WHERE id = ? AND clinic_id = ?',
                [$id, $clinicId],
            )
            : '';

        return \is_string($clientId) ? $clientId : '';
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

    /**
     * Those in which something was to be done; not those under which only a sign was told.
     *
     * @return list<array{id: string, day: string, at: string, isFinished: bool}> newest first
     */
    public function startedLately(Client $client, int $most): array
    {
        /** @var list<Sitting> $sittings */
        $sittings = $this->entities->createQuery(
            'SELECT s FROM '.Sitting::class.' s WHERE s.clientId = :client AND s.clinicId = :clinic AND EXISTS ('
                .'SELECT i.id FROM '.SittingItem::class.' i WHERE i.sittingId = s.id'
                .') ORDER BY s.startedAt DESC, s.id DESC',
        )
            ->setParameter('client', $client->id)
            ->setParameter('clinic', $client->clinicId)
            ->setMaxResults($most)
            ->getResult();

        return array_map(static fn (Sitting $s): array => [
            'id' => $s->id,
            'day' => $s->day->format('Y-m-d'),
            'at' => $s->startedAt->format(\DATE_RFC3339),
            'isFinished' => null !== $s->finishedAt,
        ], $sittings);
    }

    /** The newest sitting of a day that was begun and not finished. */
    public function unfinished(Client $client, \DateTimeImmutable $day): ?Sitting
    {
        return $this->entities->getRepository(Sitting::class)->findOneBy(
            [
                'clientId' => $client->id,
                'clinicId' => $client->clinicId,
                'day' => $day,
                'finishedAt' => null,
            ],
            ['startedAt' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** The log as far as rules look back, the newest line however old, and what is kept of the time before. */
    public function log(Client $client): SittingLog
    {
        if (!isset($this->logs[$client->id])) {
            $lines = $begun = [];
            foreach (
                $this->entities->getConnection()->fetchAllAssociative(
                    self::LOG,
                    ['client' => $client->id, 'clinic' => $client->clinicId, 'since' => $this->logSince(
                        $client->clinicId,
                    )],
                ) as $values
            ) {
                $row = new Row($values);
                if ($this->catalogue->get()->hasRung($row->text('rung_id'))) {
                    $line = $this->line($row);
                    $lines[] = $line;
                    $begun[$line->itemKey()] ??= $row->day('begun');
                }
            }
            $this->logs[$client->id] = new SittingLog(
                $lines,
                $begun,
            );
        }

        return $this->logs[$client->id];
    }

    /** @return list<LogLine> of one item, however far back, oldest first */
    public function linesOf(Client $client, ItemKey $item, \DateTimeImmutable $since): array
    {
        return array_map(
            fn (array $values): LogLine => $this->line(
                new Row($values),
            ),
            $this->entities->getConnection()->fetchAllAssociative(
                "SELECT id, sitting_id, rung_id, hands, planned->>'dose' AS dose, told, day FROM sitting_item
                    WHERE client_id = ? AND clinic_id = ? AND rung_id = ? AND hands = ? AND day >= ?
                        AND told IS NOT NULL
                    ORDER BY day, at, id",
                [
                    $client->id,
                    $client->clinicId,
                    $item->rungId,
                    $item->hands->value,
                    $since->format('Y-m-d'),
                ],
            ),
        );
    }

    /** @return list<SittingItem> in their order */
    public function items(Sitting $sitting): array
    {
        return $this->itemsOf($sitting->id, $sitting->clinicId);
    }

    /** @return list<string> keys of items that were ever done */
    public function everDone(Client $client): array
    {
        return array_map(
            static fn (ItemMemory $m): string => $m->itemKey,
            $this->entities->getRepository(ItemMemory::class)->findBy(
                ['clientId' => $client->id, 'clinicId' => $client->clinicId],
            ),
        );
    }

    /**
     * @param string $except id of a sitting that is not meant; empty: none
     *
     * @return list<SittingItem> of the last sitting in which anything was told, in their order
     */
    public function lastLogged(Client $client, string $except = ''): array
    {
        $last = $this->entities
            ->createQuery(
                'SELECT i FROM '.SittingItem::class.' i WHERE i.clientId = :client AND i.clinicId = :clinic'
                    .' AND i.day IS NOT NULL AND i.sittingId <> :except ORDER BY i.day DESC, i.at DESC, i.id DESC',
            )
            ->setParameters(new ArrayCollection([
                new Parameter('client', $client->id),
                new Parameter('clinic', $client->clinicId),
                new Parameter('except', '' === $except ? self::NONE : $except),
            ]))
            ->setMaxResults(1)
            ->getOneOrNullResult();
        if (!$last instanceof SittingItem) {
            return [];
        }
        $items = $this->itemsOf($last->sittingId, $client->clinicId);

        return array_values(array_filter(
            $items,
            static fn (SittingItem $i): bool => null !== $i->told,
        ));
    }

    /**
     * Begins a sitting with the items as they are now.
     *
     * @param list<Item> $items
     *
     * @return list<SittingItem> of the same items, in their order
     */
    public function begin(Sitting $sitting, array $items, SittingEvent $begun): array
    {
        $planned = [];
        foreach ($items as $place => $item) {
            $planned[] = SittingItem::from($sitting, $place, $item);
        }
        $this->keep($sitting, $begun, ...$planned);

        return $planned;
    }

    public function score(Sitting $sitting): ?SittingScore
    {
        return $this->entities->find(
            SittingScore::class,
            $sitting->id,
        );
    }

    /** @return array<string, array{name: string, hands: string, dose: string}> by item, as it was played */
    public function plannedWords(Sitting $sitting): array
    {
        $words = [];
        foreach ($this->score($sitting)?->items() ?? [] as $item) {
            $words[$item->get('id')->string()] = [
                'name' => $item->get('name')->string(),
                'hands' => $item->get('hands')->string(),
                'dose' => $item->get('dose')->string(),
            ];
        }

        return $words;
    }

    public function doseOf(SittingItem $item): Dose
    {
        $dose = $item->planned['dose'] ?? null;
        $otherwise = $this->catalogue->rung($item->rungId)->dosing->start ?? Dose::once();

        return \is_array($dose) ? DoseFormat::read(Node::root($dose), $otherwise) : $otherwise;
    }

    /** What was planned, as an item of the catalogue; null when the catalogue no longer has its exercise. */
    public function planned(SittingItem $item): ?Item
    {
        $format = new RoutineFormat($this->catalogue->get());

        return $format->read([$item->planned])[0] ?? null;
    }

    /** @return list<\DateTimeImmutable> days on which something was done, newest first */
    public function practiceDays(Client $client): array
    {
        $days = $this->entities->getConnection()->fetchFirstColumn(
            "SELECT DISTINCT day FROM sitting_item
                WHERE client_id = ? AND clinic_id = ? AND told->>'outcome' <> 'skipped' ORDER BY day DESC LIMIT 10",
            [$client->id, $client->clinicId],
        );

        return array_map(
            static fn (mixed $day): \DateTimeImmutable => new \DateTimeImmutable(
                \is_string($day) ? $day : 'today',
                new \DateTimeZone('UTC'),
            ),
            $days,
        );
    }

    /** @param callable(): void $work */
    public function together(callable $work): void
    {
        $this->entities->wrapInTransaction(static function () use ($work): void {
            $work();
        });
    }

    /** @return list<SittingItem> in their order */
    private function itemsOf(string $sittingId, string $clinicId): array
    {
        return $this->entities->getRepository(SittingItem::class)->findBy(
            ['sittingId' => $sittingId, 'clinicId' => $clinicId],
            ['place' => 'ASC', 'id' => 'ASC'],
        );
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

        return LogLine::from(
            $row->text('id'),
            $row->text('sitting_id'),
            new ItemKey(
                $rungId,
                Hands::from($row->text('hands')),
            ),
            // hundreds of lines share a few doses
            $this->doses[$rungId.$dose] ??= DoseFormat::read(
                Node::root($row->json('dose')),
                $this->catalogue->get()->rung($rungId)->dosing->start,
            ),
            day: $row->day('day'),
            told: LogFormat::kept($row->json('told')),
        );
    }

    /** A day more than rules look back, so that no zone is short of one. */
    private function logSince(string $clinicId): string
    {
        return $this->settings->of($clinicId)->progress()->logFrom($this->clock->now())->modify(
            '-1 day',
        )->format(
            'Y-m-d',
        );
    }

    public function reset(): void
    {
        $this->logs = [];
    }
}
