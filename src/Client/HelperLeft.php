<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** Somebody does not help any more: whatever was given to them ends. */
final readonly class HelperLeft
{
    public function __construct(
        public Helper $helper,
    ) {
    }
}
