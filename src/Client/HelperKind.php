<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** What somebody who helps is to the client. */
enum HelperKind: string
{
    case Family = 'family';
    case Friend = 'friend';
    case CareWorker = 'care-worker';
}
