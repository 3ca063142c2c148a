<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

/**
 * What a device said at one moment: number within its run, milliseconds since the run began, a value for each
 * channel.
 */
final readonly class Frame
{
    /** @param array<string, float> $values by channel */
    public function __construct(
        public int $seq,
        public float $ms,
        public array $values,
    ) {
    }
}
