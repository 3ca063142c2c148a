<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What somebody of the clinic has to look at and answer. */
enum AlertKind: string
{
    case Emergency = 'emergency';
    case Stop = 'stop';
    case Part = 'part';
    case Wear = 'wear';
    case Cramp = 'cramp';
    case Human = 'human';
}
