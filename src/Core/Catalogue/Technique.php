<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** One way in which a helper's hands work: taught as a whole, ticked exercise by exercise. */
final readonly class Technique
{
    /**
     * @param non-empty-list<string> $ids    exercises, and parts of daily tasks as `task.part`
     * @param string                 $shown  what the therapist shows first
     * @param array<string, string>  $points what is looked for when it is done back, by key
     * @param list<string>           $lines  what is said meanwhile
     */
    public function __construct(
        public string $key,
        public string $label,
        public array $ids,
        public string $shown,
        public array $points,
        public array $lines,
    ) {
    }
}
