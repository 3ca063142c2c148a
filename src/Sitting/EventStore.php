<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Wrong;

/** The events of sittings: added, many at a time, and never changed. */
final readonly class EventStore
{
    /** Keeps what is not there yet and gives all that there is, in one go: with what came before and what is new. */
    private const ADD = 'WITH kept AS (
            INSERT INTO sitting_event (%1$s)
            SELECT %1$s FROM jsonb_populate_recordset(NULL::sitting_event, :told)
            ON CONFLICT (id) DO NOTHING RETURNING *
        )
        SELECT *, TRUE AS is_new FROM kept
        UNION ALL
        SELECT *, FALSE FROM sitting_event
        WHERE sitting_id = :sitting AND (item_id IS NULL OR item_id IN (:items))';

    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /**
     * An event whose id is taken already is left out.
     *
     * @param non-empty-list<SittingEvent> $told  of one sitting
     * @param list<SittingItem>            $items of that sitting, whose other events are wanted
     */
    public function add(array $told, array $items): AddedEvents
    {
        $rows = array_map(
            static fn (SittingEvent $e): array => $e->row(),
            $told,
        );

        return AddedEvents::found($this->entities->getConnection()->fetchAllAssociative(
            \sprintf(
                self::ADD,
                implode(', ', array_keys($rows[0])),
            ),
            [
                'told' => json_encode(
                    $rows,
                    \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
                ),
                'sitting' => $told[0]->sittingId,
                'items' => array_column($items, 'id'),
            ],
            ['items' => ArrayParameterType::STRING],
        ));
    }

    /** @return list<SittingEvent> in the order in which things were done */
    public function of(Sitting $sitting): array
    {
        return self::inOrder($this->entities->getRepository(SittingEvent::class)->findBy(
            ['sittingId' => $sitting->id, 'clinicId' => $sitting->clinicId],
        ));
    }

    /**
     * How a hands-on release has gone, so that it goes on where it was.
     *
     * @return list<array{kind: string, item: ?string, at: string, body: array<string, mixed>}> in the order of the
     *    doing; empty for every other sitting
     */
    public function acts(Sitting $sitting): array
    {
        $of = [
            'sittingId' => $sitting->id,
            'clinicId' => $sitting->clinicId,
        ];
        $events = $this->entities->getRepository(SittingEvent::class);
        $acts = $events->findBy(
            $of + ['kind' => [
                EventKind::Marked,
                EventKind::Tested,
                EventKind::Positioned,
            ]],
        );
        if ([] === $acts) {
            return [];
        }
        $counted = $events->findBy($of + ['kind' => EventKind::Counted]);

        return array_map(static fn (SittingEvent $e): array => [
            'kind' => $e->kind->value,
            'item' => $e->itemId,
            'at' => $e->at->format(\DATE_ATOM),
            'body' => $e->body,
        ], self::inOrder([
            ...$acts,
            ...$counted,
        ]));
    }

    /**
     * @param list<SittingEvent> $events
     *
     * @return list<SittingEvent> in the order in which things were done
     */
    private static function inOrder(array $events): array
    {
        $placed = array_map(
            static fn (SittingEvent $e): array => [
                $e->folded()->place(),
                $e,
            ],
            $events,
        );
        usort(
            $placed,
            static fn (array $a, array $b): int => $a[0] <=> $b[0],
        );

        return array_column($placed, 1);
    }

    /** @return list<array<string, mixed>> what was wrong in a sitting: item, sign, strength, worse */
    public function wrongs(Sitting $sitting): array
    {
        return array_map(
            static fn (SittingEvent $e): array => ['item' => $e->itemId] + $e->body
                + ['strength' => null, 'worse' => null],
            $this->entities->getRepository(SittingEvent::class)->findBy(
                ['sittingId' => $sitting->id, 'kind' => EventKind::Wrong],
                ['arrival' => 'ASC'],
            ),
        );
    }

    /**
     * When lines were told anew, once more than one was told.
     *
     * @param list<string> $itemIds
     *
     * @return array<string, \DateTimeImmutable> receipt of the last line, by item
     */
    public function mended(Client $client, array $itemIds): array
    {
        $mended = [];
        foreach (
            [] === $itemIds ? [] : $this->entities->getConnection()->fetchAllKeyValue(
                "SELECT item_id, max(received_at) FROM sitting_event
                    WHERE client_id = :client AND clinic_id = :clinic AND kind = 'line' AND item_id IN (:items)
                    GROUP BY item_id HAVING count(*) > 1",
                [
                    'client' => $client->id,
                    'clinic' => $client->clinicId,
                    'items' => $itemIds,
                ],
                ['items' => ArrayParameterType::STRING],
            ) as $item => $at
        ) {
            $mended[(string) $item] = new \DateTimeImmutable(\is_string($at) ? $at : 'now');
        }

        return $mended;
    }

    /** @return list<Wrong> what was wrong of a client and reached us at an instant */
    public function wrongsReceived(Client $client, \DateTimeImmutable $at): array
    {
        return array_map(
            static fn (SittingEvent $e): Wrong => EventFormat::wrong($e->body),
            $this->ofWrongs($client, $at),
        );
    }

    /** Whether that came from a device that no longer opened the plan. */
    public function isFromOut(Client $client, \DateTimeImmutable $at): bool
    {
        $sittings = array_map(
            static fn (SittingEvent $e): string => $e->sittingId,
            $this->ofWrongs($client, $at),
        );

        return [] !== $sittings && $this->entities->getRepository(SittingEvent::class)->count(
            ['sittingId' => $sittings, 'kind' => EventKind::TakenOut],
        ) > 0;
    }

    /** @return list<SittingEvent> */
    private function ofWrongs(Client $client, \DateTimeImmutable $at): array
    {
        return $this->entities->getRepository(SittingEvent::class)->findBy(
            $client->scope() + ['kind' => EventKind::Wrong, 'receivedAt' => $at],
            ['arrival' => 'ASC'],
        );
    }
}
