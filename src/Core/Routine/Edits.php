<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What a therapist decided about single items; the rest of a routine is built around it. */
final readonly class Edits
{
    /**
     * @param list<Item>   $pinned    stay in, with the dose they have
     * @param list<string> $forbidden item keys that stay out
     */
    public function __construct(
        public array $pinned = [],
        public array $forbidden = [],
    ) {
    }

    /**
     * Of a routine as it stands.
     *
     * @param list<Item>   $items
     * @param list<string> $forbidden
     */
    public static function in(array $items, array $forbidden): self
    {
        return new self(
            array_values(
                array_filter($items, static fn (Item $i): bool => null !== $i->kept && !$i->isPause),
            ),
            $forbidden,
        );
    }

    public function isForbidden(Item $item): bool
    {
        return \in_array($item->key(), $this->forbidden, true);
    }

    public function pinned(string $key): ?Item
    {
        foreach ($this->pinned as $item) {
            if ($item->key() === $key) {
                return $item;
            }
        }

        return null;
    }

    /**
     * Items that were moved by hand go behind the one they were moved behind, where that is in.
     *
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    public function arrange(array $items): array
    {
        foreach ($items as $item) {
            $after = $item->kept?->after;
            $keys = array_map(static fn (Item $i): string => $i->key(), $items);
            $from = array_search($item->key(), $keys, true);
            if (
                null === $after
                || false === $from
                || ('' !== $after && !\in_array($after, $keys, true))
            ) {
                continue;
            }
            array_splice($items, $from, 1);
            $keys = array_map(static fn (Item $i): string => $i->key(), $items);
            array_splice(
                $items,
                '' === $after ? 0 : (int) array_search($after, $keys, true) + 1,
                0,
                [$item],
            );
        }

        return $items;
    }
}
