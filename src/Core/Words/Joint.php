<?php

declare(strict_types=1);

namespace HandGarden\Core\Words;

/** How several phrases become one. */
enum Joint: string
{
    case Comma = 'comma';
    case Semicolon = 'semicolon';
    case Sentences = 'sentences';
    case Either = 'either';
    case Or = 'or';

    /** @param list<string|Phrase|Joined> $parts */
    public function joining(array $parts): Joined
    {
        return new Joined($this, $parts);
    }
}
