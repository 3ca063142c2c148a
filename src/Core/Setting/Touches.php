<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

/** Which clients a setting says something about. */
enum Touches: string
{
    case Everybody = 'everybody';
    case TiresQuickly = 'tires-quickly';
    case UsualStamina = 'usual-stamina';
    case GoodStamina = 'good-stamina';
    case TightHand = 'tight-hand';
    case AfterInjection = 'after-injection';
    case Archived = 'archived';
}
