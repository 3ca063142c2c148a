<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

enum State: string
{
    case Found = 'found';
    case NotFound = 'not found';
    case CannotTell = 'cannot tell yet';
}
