<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\CoreError;

final class InvalidPose extends \DomainException implements CoreError
{
    public static function outside(string $what, float $value, float $min, float $max): self
    {
        return new self(\sprintf('%s: %s is outside %s..%s.', $what, $value, $min, $max));
    }

    public static function unknown(string $name): self
    {
        return new self(\sprintf('There is no pose "%s".', $name));
    }

    public static function noPlace(string $name): self
    {
        return new self(\sprintf('There is no place "%s" in this scene.', $name));
    }
}
