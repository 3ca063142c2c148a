<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** A page about one client, as the way through the pages knows it. */
final readonly class ClientPage
{
    /**
     * @param string       $label words of the link
     * @param string       $role  who may open it
     * @param string       $key   that opens it from every page of the client; empty: none
     * @param list<string> $under routes that are reached from it and stand under it
     */
    public function __construct(
        public string $label,
        public string $route,
        public string $role = 'ROLE_STAFF',
        public string $key = '',
        public array $under = [],
    ) {
    }

    public function holds(string $route): bool
    {
        return $route === $this->route || \in_array($route, $this->under, true);
    }
}
