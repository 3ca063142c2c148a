<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\Asked;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Planning\OpenEases;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/** Proposals that wait for a therapist: what the log asks for, less what was answered already. */
final readonly class OpenProposals implements OpenEases
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private SittingRepository $sittings,
        private DecisionRepository $decisions,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @return list<Proposal> most pressing first */
    public function for(Client $client): array
    {
        return $this->asked($client)->proposals;
    }

    /** The same, with what would grow but waits. */
    public function asked(Client $client): Asked
    {
        $items = [];
        foreach ($this->plans->routines($client) as $routine) {
            array_push($items, ...$this->plan->itemsOf($client, $routine));
        }

        $asked = (new Proposer($this->catalogue->get()))->asked(
            Prescribed::in($items),
            $this->sittings->log($client),
            $client->conditions(),
            $client->daysPerWeek,
            today: $this->clock->today($client->zone),
        );

        return new Asked($this->unanswered($client, $asked->proposals), $asked->waiting);
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return list<Proposal>
     */
    private function unanswered(Client $client, array $proposals): array
    {
        $answered = $this->decisions->keys($client);

        return array_values(
            array_filter(
                $proposals,
                static fn (Proposal $p): bool => !\in_array($p->key(), $answered, true),
            ),
        );
    }
}
