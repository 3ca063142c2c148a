<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;

/** What prescriptions, logs and edits know an item by: an exercise and the hands that do it. */
final readonly class ItemKey
{
    private const GLUE = '|';

    public function __construct(
        public string $rungId,
        public Hands $hands,
    ) {
    }

    /** Null when the text is no key. */
    public static function fromText(string $text): ?self
    {
        $parts = explode(self::GLUE, $text);
        $hands = 2 === \count($parts) ? Hands::tryFrom($parts[1]) : null;

        return null === $hands || '' === $parts[0] ? null : new self($parts[0], $hands);
    }

    /** As it is stored, and as arrays are keyed by it. */
    public function text(): string
    {
        return $this->rungId.self::GLUE.$this->hands->value;
    }
}
