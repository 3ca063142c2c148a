<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

use HandGarden\Core\Words\Phrase;

/** The school that is followed for one client: the default with its reason, or a therapist's with a note. */
final readonly class Choice
{
    public function __construct(
        public Question $question,
        public School $school,
        public School $default,
        public Phrase $reason,
        public string $note = '',
    ) {
    }

    public function isOwn(): bool
    {
        return '' !== $this->note;
    }

    /** In a line, as it stands beside what it leaves out. */
    public function because(): Phrase
    {
        return $this->isOwn()
            ? new Phrase('approach_default.by_therapist', ['note' => $this->note])
            : $this->reason;
    }
}
