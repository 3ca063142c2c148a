<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Psr\Log\AbstractLogger;

/** Counts what the database is asked, and can take it away at a chosen statement. */
final class QueryLog extends AbstractLogger
{
    public int $count = 0;

    /** The server stops just before the first statement that holds this; '' never. */
    public string $stopsBefore = '';

    /** @param array<mixed> $context */
    public function log(mixed $level, string|\Stringable $message, array $context = []): void
    {
        if (str_starts_with((string) $message, 'Executing')) {
            ++$this->count;
            $sql = $context['sql'] ?? '';
            if ('' !== $this->stopsBefore && \is_string($sql) && str_contains($sql, $this->stopsBefore)) {
                $this->stopsBefore = '';
                throw new \RuntimeException('The database is gone.');
            }
        }
    }
}
