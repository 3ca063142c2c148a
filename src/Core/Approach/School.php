<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

/** One of the two sides of a question on which good practitioners disagree. */
enum School: string
{
    case A = 'a';
    case B = 'b';
}
