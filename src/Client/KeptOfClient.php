<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\ClinicRepository;
use HandGarden\Web\Clock;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * What is made of a client, kept in the memory of this machine for a day while nothing it rests on has changed: the
 * changes of each client are counted, so that nobody has to remember to throw something away.
 */
final readonly class KeptOfClient
{
    public function __construct(
        private CacheInterface $cards,
        private CountsChanges $counter,
        private ClinicRepository $clinics,
        private Clock $clock,
    ) {
    }

    /**
     * @template T
     *
     * @param string        $what its name, and what else it depends on
     * @param callable(): T $make
     *
     * @return T
     */
    public function get(string $what, Client $client, callable $make): mixed
    {
        return $this->cards->get($what.'.'.$this->version($client), static fn () => $make());
    }

    private function version(Client $client): string
    {
        return implode('.', [
            $client->id,
            (string) $this->counter->changes($client),
            hash(
                'xxh128',
                serialize([$this->clinics->own()->emergencyNumber, $this->clinics->namesOfStaff()]),
            ),
            $this->clock->today($client->zone)->format('Ymd'),
        ]);
    }
}
