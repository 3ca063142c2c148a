<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an item is for in a sitting. */
enum SittingRole: string
{
    case WarmUp = 'warm-up';
    /** Lengthens or mobilizes so that something else may follow. */
    case Preparation = 'preparation';
    /** Stands directly before the item it wakes the muscle for. */
    case LeadIn = 'lead-in';
    case Main = 'main';
    case Pause = 'pause';
    case CoolDown = 'cool-down';
}
