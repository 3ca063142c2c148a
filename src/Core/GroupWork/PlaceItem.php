<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** What one place does with one exercise of a class. */
final readonly class PlaceItem
{
    /**
     * @param ?Item   $item null: it rests
     * @param ?Phrase $why  it is not as shown; null: it is
     */
    private function __construct(
        public Version $version,
        public ?Item $item,
        public ?Phrase $why,
    ) {
    }

    public static function same(Item $item): self
    {
        return new self(Version::Same, $item, null);
    }

    public static function other(Item $item, Phrase $why): self
    {
        return new self(Version::Other, $item, $why);
    }

    public static function rest(Phrase $why): self
    {
        return new self(Version::Rest, null, $why);
    }
}
