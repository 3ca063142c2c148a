<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** How the arm lies during an item; a change between two items takes time. */
enum Posture: string
{
    case HandsFree = 'hands free';
    case ForearmOnTable = 'forearm on the table';
    case HandInLap = 'hand in the lap';
    case ArmsOut = 'arms out';
    case Standing = 'standing';
}
