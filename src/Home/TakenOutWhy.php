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
}
