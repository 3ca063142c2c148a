<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Doctrine\DBAL\Connection;
use HandGarden\Web\Clock;

/**
 * How often a password may be tried.
 *
 * Each try fills a bucket that runs dry with time, before any password is looked at and in one statement, so that many
 * tries at once are counted like many in a row. An account has one bucket for all addresses. A browser in which the
 * person has signed in before has one of its own: whoever guesses elsewhere does not shut the person out. An address
 * has a large one, which known browsers pass by, so that a clinic behind one address goes on working.
 */
final readonly class Throttle
{
    /** Tries that fit in, and seconds after which one more does. */
    private const ACCOUNT = [5, 120];
    private const ADDRESS = [60, 10];

    public function __construct(
        private Connection $connection,
        private Clock $clock,
    ) {
    }

    /**
     * Counts a try.
     *
     * @param string  $account what is tried: an address to sign in under, or a person and what is asked of them
     * @param ?string $browser in which the person has signed in before; null: none
     *
     * @throws TooManyTries
     */
    public function take(string $account, ?string $browser, string $address): void
    {
        $fits = $this->fill(self::key('account', $account, $browser), self::ACCOUNT)
            && (null !== $browser || $this->fill(self::key('address', $address), self::ADDRESS));
        if (!$fits) {
            throw new TooManyTries();
        }
    }

    /** It was the person. */
    public function giveBack(string $account, ?string $browser, string $address): void
    {
        $this->connection->executeStatement(
            'DELETE FROM sign_in_try WHERE key = ?',
            [self::key('account', $account, $browser)],
        );
        if (null === $browser) {
            $this->connection->executeStatement(
                'UPDATE sign_in_try SET filled = greatest(0, filled - 1) WHERE key = ?',
                [self::key('address', $address)],
            );
        }
    }

    /** Buckets that have run dry. */
    public function forgetBefore(\DateTimeImmutable $instant): void
    {
        $this->connection->executeStatement(
            'DELETE FROM sign_in_try WHERE at < ?',
            [$instant->format(\DATE_RFC3339)],
        );
    }

    /** @param array{int, int} $bucket how much it holds, and the seconds in which one runs out */
    private function fill(string $key, array $bucket): bool
    {
        [$holds, $seconds] = $bucket;
        $left = 'greatest(0, sign_in_try.filled - extract(epoch FROM excluded.at - sign_in_try.at) / :seconds)';

        return 1 === $this->connection->executeStatement(
            "INSERT INTO sign_in_try (key, filled, at) VALUES (:key, 1, :now)
                ON CONFLICT (key) DO UPDATE SET filled = $left + 1, at = excluded.at WHERE $left + 1 <= :holds",
            [
                'key' => $key,
                'now' => $this->clock->now()->format('Y-m-d H:i:s.uP'),
                'seconds' => $seconds,
                'holds' => $holds,
            ],
        );
    }

    private static function key(string $kind, string $of, ?string $browser = null): string
    {
        return hash(
            'sha256',
            json_encode([$kind, mb_strtolower(trim($of)), $browser], \JSON_THROW_ON_ERROR),
        );
    }
}
