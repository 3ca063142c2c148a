<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Psr\Log\AbstractLogger;

/** Counts what the database is asked. */
final class QueryLog extends AbstractLogger
{
    public int $count = 0;

    /** @param array<mixed> $context */
    public function log(mixed $level, string|\Stringable $message, array $context = []): void
    {
        if (str_starts_with((string) $message, 'Executing')) {
            ++$this->count;
        }
    }
}
