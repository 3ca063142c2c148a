<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

/** The school that is followed for one client: the default with its reason, or a therapist's with a note. */
final readonly class Choice
{
    public function __construct(
        public Question $question,
        public School $school,
        public School $default,
        public string $reason,
        public string $note = '',
    ) {
    }

    public function isOwn(): bool
    {
        return '' !== $this->note;
    }

    /** In a line, as it stands beside what it leaves out. */
    public function because(): string
    {
        return $this->isOwn() ? 'the therapist’s choice: '.$this->note : lcfirst($this->reason);
    }
}
