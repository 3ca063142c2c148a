<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\CoreError;

final class InvalidWeek extends \InvalidArgumentException implements CoreError
{
}
