<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Condition\FactSource;
use HandGarden\Tests\Core\Cases;

/** What is true of a made-up client, for the oracle to ask conditions with; what follows from it stays unknown. */
final readonly class Truths implements FactSource
{
    public function __construct(
        private MadeUpClient $client,
    ) {
    }

    public function value(
        string $code,
        ?string $argument,
        Side $side,
    ): float|bool|string|null {
        return $this->client->truth($code, $argument, $side);
    }

    public function writingHand(): Side
    {
        return Side::Right;
    }

    public function steadierHand(): Side
    {
        return $this->client->side->opposite();
    }

    public function isSided(string $code): bool
    {
        return Cases::catalogue()->vocabulary->isSided($code);
    }
}
