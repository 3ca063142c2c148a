<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/** Why a choice cannot stand behind a partly made sitting. */
enum Misfit
{
    /** Another choice brings the same item, or it is taken to stay out. */
    case Taken;
    /** What has to stand before it does not. */
    case Unprepared;
    /** Two heavy items of the same muscles, and no pause to be had. */
    case Heavy;
    /** Seconds or effort. */
    case Time;
    /** More things to do than a client keeps apart. */
    case Items;
    /** What begins and ends takes too much of it. */
    case Frame;
}
