<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Assessment\LadderQuestions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Placement\Recheck;

/** Answers the measuring page from the client's placement. */
final readonly class AskedByLadders implements LadderQuestions
{
    public function __construct(
        private Plan $plan,
        private Briefs $briefs,
        private CatalogueStore $catalogue,
    ) {
    }

    public function needed(Client $client): array
    {
        return $this->briefs->measureFirst($client)->first($this->plan->placements($client)->needed);
    }

    public function recheck(Client $client): array
    {
        return (new Recheck($this->catalogue->get()))->for(
            $this->plan->placements($client),
            $this->plan->facts($client),
        );
    }
}
