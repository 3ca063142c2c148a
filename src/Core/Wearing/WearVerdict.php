<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** What becomes of something that was worn. */
enum WearVerdict: string
{
    /** Nothing was found, or a mark that was gone in time. */
    case Clean = 'clean';
    /** It has to be looked at once more before it can be told. */
    case Waits = 'waits';
    /** Worn on, and shorter next time. */
    case Shorter = 'shorter';
    /** Off until somebody has looked at its fit. */
    case Suspended = 'suspended';
}
