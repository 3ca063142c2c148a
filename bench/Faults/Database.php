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
        $this->connection = self::connect(\is_string($told) ? $told : '');
    }

    /** @param ?string $name of another database of the same server */
    public static function connect(string $url, ?string $name = null): \PDO
    {
        $parts = parse_url($url);
        \assert(\is_array($parts));
        parse_str($parts['query'] ?? '', $options);
        $host = $options['host'] ?? '';

        return new \PDO(
            \sprintf(
                'pgsql:host=%s;dbname=%s',
                \is_string($host) ? $host : '',
                $name ?? trim($parts['path'] ?? '', '/'),
            ),
            $parts['user'] ?? '',
            urldecode($parts['pass'] ?? ''),
        );
    }

    /** @return list<array<string, string>> every value as text */
    public static function texts(\PDOStatement $found): array
    {
        $rows = [];
        while (\is_array($row = $found->fetch(\PDO::FETCH_ASSOC))) {
            $texts = [];
            foreach ($row as $column => $value) {
                $texts[$column] = \is_scalar($value) ? (string) $value : '';
            }
            $rows[] = $texts;
        }

        return $rows;
    }

    /** @return list<array<string, string>> every value as text */
    public function rows(string $sql): array
    {
        $found = $this->connection->query($sql);

        return false === $found ? [] : self::texts($found);
    }

    public function number(string $sql): int
    {
        return (int) ($this->rows('SELECT ('.$sql.') AS n')[0]['n'] ?? -1);
    }
}
