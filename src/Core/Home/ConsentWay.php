<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

/** How a consent was given. */
enum ConsentWay: string
{
    case Spoken = 'spoken';
    case Written = 'written';
    /** Under local rules, where the client cannot agree alone. */
    case Representative = 'representative';
}
