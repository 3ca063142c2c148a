<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What a ladder is to the rules of a sitting. Rules ask for the part and know no ladder. */
enum LadderPart: string
{
    /** Opens a tight hand step by step; which step is first is one of the questions practitioners answer unalike. */
    case TightHandOpening = 'tight-hand opening';

    /** The sound arm carries the weak one: what both do together asks nothing of the sound one. */
    case CarriedArm = 'carried arm';

    /** Left out as soon as the arm lifts by itself. */
    case WhileArmIsWeak = 'while the arm is weak';
}
