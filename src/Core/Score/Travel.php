<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

/** What the picture does while a cue lasts. */
enum Travel: string
{
    /** It shows the hand as it begins. */
    case Start = 'start';
    case Out = 'out';
    /** It shows the hand at the end of its way. */
    case End = 'end';
    case Back = 'back';
}
