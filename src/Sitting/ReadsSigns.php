<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Core\Catalogue\Condition;

/** Whose no and whose pain are read from face and body, because they cannot be asked. */
final class ReadsSigns
{
    public static function of(Client $client): bool
    {
        return \in_array(Condition::AdvancedDementia, $client->conditions(), true);
    }

    /** @return array{signs?: true} as it stands in a score */
    public static function in(Client $client): array
    {
        return self::of($client) ? ['signs' => true] : [];
    }
}
