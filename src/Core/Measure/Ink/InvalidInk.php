<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

use HandGarden\Core\CoreError;

/** Samples or a guide that cannot be what was drawn. */
final class InvalidInk extends \DomainException implements CoreError
{
}
