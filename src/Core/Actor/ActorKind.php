<?php

declare(strict_types=1);

namespace HandGarden\Core\Actor;

/** Who can do something that is kept. */
enum ActorKind: string
{
    case Staff = 'staff';
    case Client = 'client';
    case Helper = 'helper';
    case Device = 'device';
    /** The program itself, such as at the end of a day. */
    case System = 'system';
}
