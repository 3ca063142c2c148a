<?php

declare(strict_types=1);

namespace HandGarden\Planning;

final readonly class LadderView
{
    /** @param list<NodeView> $nodes easiest first */
    public function __construct(
        public string $key,
        public string $name,
        public string $strand,
        public string $strandLabel,
        public string $side,
        public string $stateText,
        public string $state,
        public ?string $standing,
        public string $why,
        public ?string $next,
        public string $nextState,
        public string $nextWhy,
        public ?string $overrideNote,
        public string $computed,
        public array $nodes,
    ) {
    }
}
