<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** What a diary is kept of. */
enum Trouble: string
{
    case Shaking = 'shaking';
    case Cramp = 'cramp';
    case Stiffness = 'stiffness';
}
