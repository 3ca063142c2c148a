<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\CoreError;

final class NothingFits extends \DomainException implements CoreError
{
    /** @param list<string> $reasons */
    public static function because(array $reasons): self
    {
        return new self('No routine can be made: '.implode(' ', \array_slice($reasons, 0, 4)));
    }
}
