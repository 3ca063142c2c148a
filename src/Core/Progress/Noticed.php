<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Which hand feels more of what was asked; there is no right answer. */
enum Noticed: string
{
    case Left = 'left';
    case Right = 'right';
    case Same = 'same';
    case NotSure = 'not-sure';
}
