<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;

/** Letters to a client, as far as they are shown at home. */
interface LettersAtHome
{
    /**
     * @return ?array{on: string, by: string, parts: list<array{title: string, lines: list<string>}>} the newest, with
     *     the day on which it was signed; null: none is shown
     */
    public function newest(Client $client): ?array;
}
