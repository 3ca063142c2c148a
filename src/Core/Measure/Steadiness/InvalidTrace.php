<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

use HandGarden\Core\CoreError;

/** A recording that cannot be read as one. */
final class InvalidTrace extends \DomainException implements CoreError
{
}
