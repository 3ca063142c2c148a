<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

/** What a therapist chose for a client, and why. */
final readonly class ChosenSchool
{
    public function __construct(
        public Question $question,
        public School $school,
        public string $note,
    ) {
    }
}
