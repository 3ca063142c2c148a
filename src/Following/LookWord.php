<?php

declare(strict_types=1);

namespace HandGarden\Following;

/** What somebody decided who looked at a client. */
enum LookWord: string
{
    case Same = 'same';
    case Change = 'change';
    case Smaller = 'smaller';
    case Call = 'call';
    case Visit = 'visit';
}
