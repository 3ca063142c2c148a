<?php

declare(strict_types=1);

namespace HandGarden\Core\Words;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** A phrase as it is kept: its code, never the words of one language. */
final class PhraseFormat
{
    /** @return array<string, mixed> */
    public static function write(Phrase|Joined $phrase): array
    {
        if ($phrase instanceof Joined) {
            return ['by' => $phrase->by->value, 'parts' => array_map(self::part(...), $phrase->parts)];
        }

        return ['say' => $phrase->code] + (
            [] === $phrase->with ? [] : ['with' => array_map(self::part(...), $phrase->with)]
        );
    }

    /**
     * Texts that were kept as words stay as they were said.
     *
     * @throws InvalidData
     */
    public static function read(Node $node): Phrase
    {
        if (\is_string($node->raw())) {
            return Phrase::own($node->raw());
        }
        $with = [];
        foreach ($node->optional('with')?->map() ?? [] as $name => $part) {
            $with[$name] = self::readPart($part);
        }

        return new Phrase($node->get('say')->string(), $with);
    }

    /** @throws InvalidData */
    public static function readAny(Node $node): Phrase|Joined
    {
        if (!$node->has('by')) {
            return self::read($node);
        }
        $parts = array_map(
            static fn (Node $part): string|Phrase|Joined => \is_string($part->raw())
                ? $part->raw()
                : self::readAny($part),
            $node->get('parts')->items(),
        );

        return $node->get('by')->enum(Joint::class)->joining($parts);
    }

    /** @return array<string, mixed>|string|int|float */
    private static function part(string|int|float|Phrase|Joined $part): array|string|int|float
    {
        return \is_object($part) ? self::write($part) : $part;
    }

    /** @throws InvalidData */
    private static function readPart(Node $part): string|int|float|Phrase|Joined
    {
        $raw = $part->raw();

        return \is_string($raw) || \is_int($raw) || \is_float($raw) ? $raw : self::readAny($part);
    }
}
