<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

/** What one place of a class does while the wall shows an exercise. */
enum Version: string
{
    case Same = 'same';
    /** An exercise of its own, in the time of the one that is shown. */
    case Other = 'other';
    case Rest = 'rest';
}
