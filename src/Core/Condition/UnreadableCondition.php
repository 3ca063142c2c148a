<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\CoreError;

final class UnreadableCondition extends \DomainException implements CoreError
{
    public static function at(string $text, int $offset, string $expected): self
    {
        $found = substr($text, $offset, 20);

        return new self(
            \sprintf(
                'Cannot read the condition "%s": expected %s at character %d, found %s.',
                $text,
                $expected,
                $offset + 1,
                '' === $found ? 'the end' : '"'.$found.'"',
            ),
        );
    }

    public static function unknownCode(string $text, string $code): self
    {
        return new self(
            \sprintf(
                'The condition "%s" uses the code "%s", which the vocabulary does not have.',
                $text,
                $code,
            ),
        );
    }
}
