<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

/** What came of a run before, as far back as frames are kept. */
final readonly class Seen
{
    /** @param array<int, true> $numbers frames that are here already */
    public function __construct(
        public string $run = '',
        public int $last = -1,
        public array $numbers = [],
    ) {
    }

    public function for(string $run): self
    {
        return $run === $this->run ? $this : new self($run);
    }
}
