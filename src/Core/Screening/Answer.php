<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

enum Answer: string
{
    case Yes = 'yes';
    case No = 'no';
    case NotAsked = 'not-asked';
}
