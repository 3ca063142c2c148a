<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Where and how a hand or a thing touches the hand that is treated. */
enum Contact: string
{
    case Back = 'back';
    case Edge = 'edge';
    case Palm = 'palm';
    case Pads = 'pads';
    case RollLight = 'roll-light';
    case RollFirm = 'roll-firm';
    case Traction = 'traction';
    case EndRange = 'end-range';
    case Tap = 'tap';
    case Heat = 'heat';
    case Weight = 'weight';
}
