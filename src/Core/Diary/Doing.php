<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** What the hand was doing. */
enum Doing: string
{
    case Rest = 'rest';
    case HoldingStill = 'holding-still';
    case EatingOrDrinking = 'eating-or-drinking';
    case Writing = 'writing';
    case FineWork = 'fine-work';
    case Dressing = 'dressing';
    case Walking = 'walking';
    case Other = 'other';
}
