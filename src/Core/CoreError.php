<?php

declare(strict_types=1);

namespace HandGarden\Core;

/** Every error the rules themselves can raise; the message says what was found and what was expected. */
interface CoreError extends \Throwable
{
}
