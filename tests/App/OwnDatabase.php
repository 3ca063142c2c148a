<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Bench\Faults\Database;
use Symfony\Component\Process\Process;

/**
 * A database beside that of the tests, with the rights of its owner: for what other processes are to see, and for other
 * versions of the tables.
 */
final class OwnDatabase
{
    /** Somebody is in it whom we may not send away. */
    private const BUSY = ['42501', '55006'];
    private const TRIES = 40;

    private function __construct(
        public readonly \PDO $connection,
        private readonly string $url,
    ) {
    }

    /** Empty, whatever was there before. */
    public static function made(string $suffix): self
    {
        $url = getenv('OWNER_DATABASE_URL');
        $url = \is_string($url) ? $url : '';
        $token = getenv('TEST_TOKEN');
        $name = trim((string) parse_url($url, \PHP_URL_PATH), '/').'_'.$suffix.(\is_string(
            $token,
        ) ? $token : '');
        $server = Database::connect($url, 'template1');
        self::drop($server, $name);
        $server->exec('CREATE DATABASE '.$name.' TEMPLATE template0');

        return new self(
            Database::connect($url, $name),
            (string) preg_replace('#/[^/?]+\?#', '/'.$name.'?', $url, 1),
        );
    }

    /** While the server itself cleans up in it nobody but the server may end that: it is over in a moment. */
    private static function drop(\PDO $server, string $name): void
    {
        for ($try = 1;; ++$try) {
            try {
                $server->exec('DROP DATABASE IF EXISTS '.$name.' WITH (FORCE)');

                return;
            } catch (\PDOException $e) {
                if (!\in_array($e->getCode(), self::BUSY, true) || $try >= self::TRIES) {
                    throw $e;
                }
                usleep(250_000);
            }
        }
    }

    /** A command of the application on this database, not started yet. */
    public function console(string ...$words): Process
    {
        return new Process(
            ['php', 'bin/console', '--no-interaction', ...$words],
            \dirname(__DIR__, 2),
            ['DATABASE_URL' => $this->url, 'TEST_TOKEN' => ''],
            timeout: 120.0,
        );
    }

    /** @return list<array<string, string>> every value as text */
    public function rows(string $sql, string ...$values): array
    {
        $found = $this->connection->prepare($sql);
        $found->execute($values);

        return Database::texts($found);
    }

    public function number(string $sql): int
    {
        return (int) ($this->rows('SELECT ('.$sql.') AS n')[0]['n'] ?? 0);
    }
}
