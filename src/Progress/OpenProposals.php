<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/** Proposals that wait for a therapist: what the log asks for, less what was answered already. */
final readonly class OpenProposals
{
    public function __construct(
        private PlanRepository $plans,
        private SittingRepository $sittings,
        private DecisionRepository $decisions,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @return list<Proposal> most pressing first */
    public function of(Client $client): array
    {
        return $this->ofAll([$client])[$client->id];
    }

    /**
     * How many wait for each client: three queries, however many clients.
     *
     * @param list<Client> $clients
     *
     * @return array<string, int> by client id
     */
    public function counts(array $clients): array
    {
        return array_map(\count(...), $this->ofAll($clients));
    }

    /**
     * @param list<Client> $clients
     *
     * @return array<string, list<Proposal>>
     */
    private function ofAll(array $clients): array
    {
        $routines = $this->plans->routines($clients);
        $logs = $this->sittings->logs($clients);
        $answered = $this->decisions->keys($clients);
        $proposer = new Proposer($this->catalogue->get());
        $format = new RoutineFormat($this->catalogue->get());
        $open = [];
        foreach ($clients as $client) {
            $items = Prescribed::in(
                array_merge(
                    ...array_map(
                        static fn (SavedRoutine $r): array => $format->read($r->items),
                        $routines[$client->id] ?? [],
                    ),
                ),
            );
            $proposals = $proposer->propose(
                $items,
                $logs[$client->id],
                $client->conditions(),
                $client->daysPerWeek,
                today: $this->clock->today($client->zone),
            );
            $open[$client->id] = array_values(
                array_filter(
                    $proposals,
                    static fn (Proposal $p): bool => !\in_array(
                        $p->key(),
                        $answered[$client->id] ?? [],
                        true,
                    ),
                ),
            );
        }

        return $open;
    }
}
