<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

use HandGarden\Core\CoreError;

/** Lines that do not say whose they are: nothing of them can be used. */
final class InvalidBatch extends \RuntimeException implements CoreError
{
}
