<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\Heading;

/** One line of a report as it was printed. */
final readonly class Line
{
    /**
     * @param list<Fact>   $facts    empty: a therapist's view
     * @param bool         $isOwed   it stands in every report of its time
     * @param list<string> $cells    the same as a row of a table; empty: it is a sentence
     * @param bool         $isOfThen how it stood on the day of writing
     * @param list<string> $readBy   ids of staff who have read it
     */
    public function __construct(
        public Heading $heading,
        public string $text,
        public array $facts,
        public bool $isOwed = false,
        public array $cells = [],
        public bool $isOfThen = false,
        public array $readBy = [],
    ) {
    }

    /** Who writes it has read it. */
    public static function view(Heading $heading, string $text, string $byStaffId): self
    {
        return new self($heading, $text, [], readBy: [$byStaffId]);
    }

    public function isView(): bool
    {
        return [] === $this->facts;
    }

    public function isReadBy(string $staffId): bool
    {
        return \in_array($staffId, $this->readBy, true);
    }

    public function read(string $staffId, bool $isRead): self
    {
        return $this->readAs(array_values(array_unique([
            ...array_diff($this->readBy, [$staffId]),
            ...$isRead ? [$staffId] : [],
        ])));
    }

    /** @param list<string> $readBy ids of staff */
    public function readAs(array $readBy): self
    {
        return new self(
            $this->heading,
            $this->text,
            $this->facts,
            $this->isOwed,
            cells: $this->cells,
            isOfThen: $this->isOfThen,
            readBy: $readBy,
        );
    }
}
