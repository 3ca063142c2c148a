<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

/** What a message from home is about. Pain and new signs are no message. */
enum MessageAbout: string
{
    case Exercise = 'exercise';
    case Thing = 'thing';
    case Time = 'time';
    case Splint = 'splint';
    case Other = 'other';
}
