<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Client\Client;

/** Who has a place in a class. */
final readonly class Member
{
    /**
     * @param ?string $hindrance why they cannot take part today, in words; null: they can
     * @param bool    $isOneToOne one of the staff stays beside them alone
     */
    public function __construct(
        public int $number,
        public Client $client,
        public ?string $hindrance,
        public bool $isOneToOne,
    ) {
    }
}
