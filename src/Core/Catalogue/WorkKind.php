<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an exercise does with a part of the arm. */
enum WorkKind: string
{
    case Moves = 'moves';
    case Stretches = 'stretches';
    case Loads = 'loads';
    case Pulls = 'pulls';
}
