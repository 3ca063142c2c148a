<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What must stand earlier in the same sitting before this item. */
enum SittingNeed: string
{
    /** A stretch or mobilizing item of the same arm. */
    case Length = 'length';
    /** The fingers lengthened first. */
    case FingerLength = 'finger length';
    /** With finger tone, the tight-hand opening; where that does not fit the client, any lengthening of the fingers. */
    case StretchWhenTight = 'stretch when tight';

    /** The wrist eased back first. */
    case WristEasedBack = 'wrist eased back';

    /** The ball between the fingers first. */
    case WebsOpened = 'webs opened';
}
