<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\Heading;

/** One line of a report as it was printed. */
final readonly class Line
{
    /**
     * @param list<Fact> $facts empty: a therapist's view
     * @param bool       $isOwed it stands in every report of its time
     */
    public function __construct(
        public Heading $heading,
        public string $text,
        public array $facts,
        public bool $isOwed,
    ) {
    }

    public static function view(Heading $heading, string $text): self
    {
        return new self($heading, $text, [], false);
    }

    public function isView(): bool
    {
        return [] === $this->facts;
    }
}
