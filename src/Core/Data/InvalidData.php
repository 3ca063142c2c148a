<?php

declare(strict_types=1);

namespace HandGarden\Core\Data;

use HandGarden\Core\CoreError;

/** Data from a file, a form or a request that is not what it should be; the path says where. */
final class InvalidData extends \DomainException implements CoreError
{
    private function __construct(
        public readonly string $path,
        public readonly string $problem,
    ) {
        parent::__construct('' === $path ? $problem : $path.': '.$problem);
    }

    public static function at(string $path, string $problem): self
    {
        return new self($path, $problem);
    }
}
