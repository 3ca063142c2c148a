<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** How it goes on after a block. */
enum BlockVerdict: string
{
    case GoOn = 'go-on';
    case Change = 'change';
    case Smaller = 'smaller';
    case Finish = 'finish';
}
