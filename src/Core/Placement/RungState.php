<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

enum RungState: string
{
    case In = 'in';
    case NotYet = 'not yet';
    case Measure = 'measure';
    case Blocked = 'blocked';
    case NoFit = 'no fit';
}
