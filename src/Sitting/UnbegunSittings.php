<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Sittings that may be begun without a network: one becomes a sitting when the first of its events arrives. */
interface UnbegunSittings
{
    /**
     * @param Node $batch as it came, with the plan and the list that it is from
     *
     * @return array{Sitting, Client}|null null: there is no such sitting to begin
     *
     * @throws InvalidData
     */
    public function begin(Player $player, Node $batch): ?array;
}
