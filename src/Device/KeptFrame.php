<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Core\Device\Frame;

/** A frame that can be named: by delivery and number. */
final readonly class KeptFrame
{
    public function __construct(
        public string $name,
        public string $run,
        public int $receivedMs,
        public Frame $frame,
    ) {
    }
}
