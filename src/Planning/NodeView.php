<?php

declare(strict_types=1);

namespace HandGarden\Planning;

/** A rung on the stem: a leaf is reached, a bud is where the client stands, a bare node lies ahead. */
final readonly class NodeView
{
    public function __construct(
        public string $rungId,
        public string $name,
        public string $shape,
        public string $state,
        public string $why,
        public bool $maySet,
    ) {
    }
}
