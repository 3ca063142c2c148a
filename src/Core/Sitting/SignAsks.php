<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What has to be known of a sign before it is told what to do. */
enum SignAsks: string
{
    case Nothing = 'nothing';
    /** 0 to 10. */
    case Strength = 'strength';
    /** One question after what is worse: yes, no or not sure; not sure counts as yes. */
    case Doubt = 'doubt';
}
