<?php

declare(strict_types=1);

namespace HandGarden\Core\Helping;

/** How somebody who helps gets on with it, in their own words. */
enum Managing: string
{
    case Well = 'well';
    case Tiring = 'tiring';
    case TooMuch = 'too-much';
}
