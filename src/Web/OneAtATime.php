<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Doctrine\DBAL\Connection;

/** Work that is so costly that one person at a time may ask for it; the others are told to come again. */
final readonly class OneAtATime
{
    public function __construct(
        private Connection $connection,
    ) {
    }

    /** Until the request ends; false when somebody else is at it. */
    public function begin(string $work): bool
    {
        return true === $this->connection->fetchOne(
            'SELECT pg_try_advisory_xact_lock(hashtext(?))',
            [$work],
        );
    }
}
