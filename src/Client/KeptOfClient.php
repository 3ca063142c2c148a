<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\ClinicRepository;
use HandGarden\Web\Clock;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Service\ResetInterface;

/**
 * What is made of a client, kept in the memory of this machine for a day while nothing it rests on has changed: the
 * changes of each client are counted, so that nobody has to remember to throw something away.
 */
final class KeptOfClient implements ResetInterface
{
    /** What of the clinic is shown with everything, as a mark. */
    private ?string $clinic = null;

    public function __construct(
        private readonly CacheInterface $cards,
        private readonly CountsChanges $counter,
        private readonly ClinicRepository $clinics,
        private readonly Clock $clock,
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

    public function reset(): void
    {
        $this->clinic = null;
    }

    private function version(Client $client): string
    {
        return implode('.', [
            $client->id,
            (string) $this->counter->changes($client),
            $this->clinic ??= hash(
                'xxh128',
                serialize([$this->clinics->own()->emergencyNumber, $this->clinics->namesOfStaff()]),
            ),
            $this->clock->today($client->zone)->format('Ymd'),
        ]);
    }
}
