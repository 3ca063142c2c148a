<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

final class DifferentBody extends \DomainException
{
    public static function from(string $id): self
    {
        return new self(
            \sprintf(
                'Log line %s is stored already with another content. The stored one stays; send the change as a new '
                    .'line.',
                $id,
            ),
        );
    }
}
