<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** The part an item works on first; screening and preparation speak of it. */
enum Segment: string
{
    case Fingers = 'fingers';
    case Thumb = 'thumb';
    case Wrist = 'wrist';
    case Forearm = 'forearm';
    case Shoulder = 'shoulder';
    case None = 'none';
}
