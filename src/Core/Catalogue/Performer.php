<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

enum Performer: string
{
    case ClientAlone = 'client alone';
    case OwnOtherHand = 'with own other hand';
    case Helper = 'helper';
    case TrainedTherapist = 'trained therapist only';
    case HelperPrompts = 'helper prompts';
}
