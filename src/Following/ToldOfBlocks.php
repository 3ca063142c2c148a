<?php

declare(strict_types=1);

namespace HandGarden\Following;

/** What was said at home at the end of a block, before anybody looked back on it here. */
interface ToldOfBlocks
{
    /** @return ?array{ease: int, content: int, at: \DateTimeImmutable} null: nothing was said */
    public function of(string $blockId): ?array;
}
