<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** How somebody who cannot tell was unlike themselves. */
enum Unlike: string
{
    case Restless = 'restless';
    case Sleepy = 'sleepy';
}
