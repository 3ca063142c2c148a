<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Client\Client;
use HandGarden\Core\Placement\Needed;

/** What the client's ladders ask; answered by a room above that knows where the client stands. */
interface LadderQuestions
{
    /** @return list<Needed> what is missing for the next step, shortest first */
    public function needed(Client $client): array;

    /** @return list<Needed> what the standing rungs and the next ones rest on */
    public function recheck(Client $client): array;
}
