<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an exercise asks of the whole body. */
enum Asks: string
{
    case Reach = 'reach';
    case Lean = 'lean';
    /** The arm lifted off its support. */
    case Raise = 'raise';
    /** Weight through the arm. */
    case Weight = 'weight';
    case EyesClosed = 'eyes-closed';
    case Standing = 'standing';
}
