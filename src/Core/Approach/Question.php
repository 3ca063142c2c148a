<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

/** Where practitioners disagree, both schools in a line each. */
enum Question: string
{
    case Quieting = 'quieting';
    case Wrist = 'wrist';
    case Fist = 'fist';
    case Squeezing = 'squeezing';
    case Load = 'load';
    case Amount = 'amount';
    case Counting = 'counting';
    case TaskDystonia = 'task-dystonia';
    case Tricks = 'tricks';
}
