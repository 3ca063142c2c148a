<?php

declare(strict_types=1);

namespace HandGarden\Core\Helping;

/** Why a sign-off ends before its day. */
enum SignEnd: string
{
    case HelperLeft = 'helper-left';
    /** Client or helper; until it is talked through. */
    case SomebodyHurt = 'somebody-hurt';
    /** Injury, operation, lost feeling, shoulder trouble or broken skin that is new. */
    case NewTrouble = 'new-trouble';
    /** Another one stands in its place. */
    case SignedAnew = 'signed-anew';
}
