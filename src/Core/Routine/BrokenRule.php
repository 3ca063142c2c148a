<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Words\Phrase;

/** A hard rule that a routine does not keep; `item` is the place in the order, null for the whole. */
final readonly class BrokenRule
{
    public const TOO_LITTLE_OPENING = 'too-little-opening';
    private const AMOUNT = ['over-time', 'over-effort', 'too-many-items'];

    public function __construct(
        public string $code,
        public Phrase $words,
        public ?int $item = null,
    ) {
    }

    /** What is done before what, unlike how much of it. */
    public function isOfTheOrder(): bool
    {
        return !\in_array($this->code, self::AMOUNT, true);
    }
}
