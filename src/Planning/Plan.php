<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\ClinicSettings;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\PlacementChange;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Web\Clock;
use Symfony\Contracts\Service\ResetInterface;

/** Brings together what is known of a client and asks the core; every answer is made once a request. */
final class Plan implements ResetInterface
{
    /** @var array<string, ClientFacts> */
    private array $facts = [];

    /** @var array<string, Placements> */
    private array $placements = [];

    /** @var array<string, list<string>> `rung|side` */
    private array $shown = [];

    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly Cautions $cautions,
        private readonly PlanRepository $plans,
        private readonly Marks $marks,
        private readonly Helpers $helpers,
        private readonly PastSittings $past,
        private readonly CatalogueStore $catalogue,
        private readonly ClinicSettings $settings,
        private readonly Clock $clock,
    ) {
    }

    public function facts(Client $client): ClientFacts
    {
        $this->facts[$client->id] ??= ClientFacts::from(
            new ClientRecords(
                $client,
                $this->readings,
                $this->cautions,
                $this->plans,
                marks: $this->marks,
                helpers: $this->helpers,
                thresholds: $this->settings->of($client->clinicId)->thresholds(),
                today: $this->clock->today($client->zone),
            ),
        );

        return $this->facts[$client->id];
    }

    /** @return list<string> `rung|side` that was done beside somebody of the clinic, or marked as shown */
    public function shown(Client $client): array
    {
        return $this->shown[$client->id] ??= [...$this->marks->shown($client), ...$this->done($client)];
    }

    /** @return list<string> `rung|side` */
    private function done(Client $client): array
    {
        $done = [];
        foreach ($this->past->shown($client) as $key) {
            $item = ItemKey::fromText($key);
            foreach (null === $item ? [] : RungOnSide::forHands($item->rungId, $item->hands) as $on) {
                $done[] = $on->text();
            }
        }

        return $done;
    }

    public function placements(Client $client): Placements
    {
        return $this->placements[$client->id] ??= (new Placer($this->catalogue->get()))->place(
            $this->facts($client),
            $this->clock->today($client->zone),
        );
    }

    /**
     * What the last measuring day has moved, and since when it stood otherwise; null when there was only one.
     *
     * @return array{since: \DateTimeImmutable, changes: list<PlacementChange>}|null
     */
    public function changes(Client $client): ?array
    {
        $today = $this->clock->today($client->zone);
        $counts = $this->settings->of($client->clinicId)->thresholds()->ages->numberDays;
        $days = $this->readings->days(
            $client,
            $today->modify('-'.(2 * $counts).' days'),
        );
        $before = $days[\count($days) - 2] ?? null;
        if (null === $before) {
            return null;
        }
        $since = new \DateTimeImmutable($before, new \DateTimeZone('UTC'));
        $facts = $this->facts($client)->withReadings(
            $this->readings->asOf($client, $since, $counts),
        );

        return [
            'since' => $since,
            'changes' => $this->placements($client)->changedFrom(
                (new Placer($this->catalogue->get()))->place($facts, $since),
            ),
        ];
    }

    /** @return list<Item> of the current routine; empty when there is none */
    public function items(Client $client, RoutineKind $kind = RoutineKind::Home): array
    {
        return $this->itemsOf($client, $this->plans->routine($client, $kind));
    }

    /** @return list<Item> with the dose of record, as screening allows it today */
    public function itemsOf(Client $client, ?SavedRoutine $routine): array
    {
        if (null === $routine) {
            return [];
        }
        $screening = $this->facts($client)->measured->screening;
        $today = $this->clock->today($client->zone);
        $format = new RoutineFormat($this->catalogue->get(), $this->plans->doses($client));

        return array_map(
            static fn (Item $i): Item => $i->withDose($screening->shortened($i->dose, $i->rung, $today)),
            $format->read($routine->items),
        );
    }

    public function worseSide(Client $client): Side
    {
        return $client->affected()[0] ?? Side::Right;
    }

    /** After a change: what was worked out in this request no longer holds. */
    public function reset(): void
    {
        $this->facts = $this->placements = $this->shown = [];
    }
}
