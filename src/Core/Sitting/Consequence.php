<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What follows from a sign, at once and without a network. */
final readonly class Consequence
{
    /**
     * @param string     $words code of what is said
     * @param Stops      $stops now
     * @param Stops      $holds until a therapist has answered
     * @param ?AlertKind $alert null: nobody has to answer
     * @param bool       $calls the emergency number comes first
     */
    public function __construct(
        public string $words,
        public Stops $stops,
        public Stops $holds,
        public ?AlertKind $alert,
        public bool $calls = false,
    ) {
    }
}
