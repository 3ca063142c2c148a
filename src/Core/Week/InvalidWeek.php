<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\CoreError;
use HandGarden\Core\Words\Phrase;

/** Times that make no week; the phrase says what is wrong with them. */
final class InvalidWeek extends \InvalidArgumentException implements CoreError
{
    private function __construct(
        public readonly Phrase $why,
    ) {
        parent::__construct($why->code);
    }

    /** @param array<string, string|int> $with */
    public static function because(string $code, array $with = []): self
    {
        return new self(new Phrase('invalid_week.'.$code, $with));
    }
}
