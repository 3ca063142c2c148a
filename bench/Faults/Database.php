<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

/** What a house has kept, asked past the application: OWNER_DATABASE_URL says where. */
final readonly class Database
{
    private \PDO $connection;

    public function __construct()
    {
        $told = getenv('OWNER_DATABASE_URL');
        $url = parse_url(\is_string($told) ? $told : '');
        \assert(\is_array($url));
        parse_str($url['query'] ?? '', $options);
        $host = $options['host'] ?? '';
        $this->connection = new \PDO(
            \sprintf(
                'pgsql:host=%s;dbname=%s',
                \is_string($host) ? $host : '',
                trim($url['path'] ?? '', '/'),
            ),
            $url['user'] ?? '',
            urldecode($url['pass'] ?? ''),
        );
    }

    /** @return list<array<string, string>> every value as text */
    public function rows(string $sql): array
    {
        $found = $this->connection->query($sql);
        $rows = [];
        while (false !== $found && \is_array($row = $found->fetch(\PDO::FETCH_ASSOC))) {
            $texts = [];
            foreach ($row as $column => $value) {
                $texts[$column] = \is_scalar($value) ? (string) $value : '';
            }
            $rows[] = $texts;
        }

        return $rows;
    }

    public function number(string $sql): int
    {
        return (int) ($this->rows('SELECT ('.$sql.') AS n')[0]['n'] ?? -1);
    }
}
