<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** What something worn has left on the skin; on dark skin darker, shiny, firm or warm against the other hand. */
enum Mark: string
{
    case None = 'none';
    case Faint = 'faint';
    case Deep = 'deep';
}
