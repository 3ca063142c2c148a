<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

/** What a client agrees to, each on its own: no to one takes nothing else away. */
enum ConsentKind: string
{
    case HomeUse = 'home-use';
    case HelperSees = 'helper-sees';
    case HelperHearsOfStops = 'helper-hears-of-stops';
    case SampleKept = 'sample-kept';
    case DiaryShared = 'diary-shared';
    case GroupWork = 'group-work';
    case Research = 'research';
    case LetterToOthers = 'letter-to-others';
}
