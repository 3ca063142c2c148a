<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What a rung does for others in a sitting. Rules ask for the part and know no exercise. */
enum RungPart: string
{
    case OpensTightHand = 'opens tight hand';
    case EasesWristBack = 'eases wrist back';
    case OpensWebs = 'opens webs';

    /** The tight-hand opening runs on into it, inside the same rounds. */
    case EndsTightOpening = 'ends tight opening';

    /** Something that wakes the muscle may stand directly before it. */
    case IsWoken = 'is woken';
    /** Begins or ends a sitting where nothing else may, and a short one. */
    case StandsIn = 'stands in';
    /** Lays the hand long after a cramp has let go. */
    case SmoothsCramp = 'smooths a cramp';
    /** The frame in which a daily task is done. */
    case CarriesTask = 'carries a task';
    /** Harder to try than what comes after it. */
    case NeverTriedFirst = 'never tried first';
    /** What is put on in it is worn on afterwards, by a plan of its own. */
    case PutsBandOn = 'puts a band on';
    case PutsGloveOn = 'puts a glove on';
    case PutsWalkingGlovesOn = 'puts walking gloves on';
    case PutsSplintOn = 'puts a splint on';
}
