<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\CoreError;

final class UnknownRung extends \DomainException implements CoreError
{
    public static function named(string $id): self
    {
        return new self(\sprintf('The catalogue has no rung "%s".', $id));
    }
}
