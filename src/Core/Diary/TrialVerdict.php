<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** What two weeks of trying came to. */
enum TrialVerdict: string
{
    case Less = 'less';
    case NoClearDifference = 'no-clear-difference';
    case TooFew = 'too-few';
    /** Something else changed in the time: an injection, a medicine, an illness, a new splint. */
    case NotComparable = 'not-comparable';
}
