<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What is said and shown to the person who does the exercise. */
final readonly class Instructions
{
    /**
     * @param non-empty-list<string> $steps
     * @param string                 $moves what moves, for those who know the joints
     */
    public function __construct(
        public string $position,
        public array $steps,
        public string $watchFor,
        public string $ease,
        public string $harder,
        public string $stop,
        public string $why,
        public string $dose,
        public string $moves,
    ) {
    }
}
