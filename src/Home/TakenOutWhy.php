<?php

declare(strict_types=1);

namespace HandGarden\Home;

/** Why a device no longer opens a plan. */
enum TakenOutWhy: string
{
    case PlanEnded = 'plan-ended';
    case Replaced = 'replaced';
    case Lost = 'lost';
    case HelperLeft = 'helper-left';
    case Consent = 'consent';
    case Other = 'other';

    /** @return list<self> why a tablet that several share is taken out */
    public static function ofTablets(): array
    {
        return [self::Replaced, self::Lost, self::Other];
    }
}
