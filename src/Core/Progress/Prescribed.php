<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;

/** An item as it is prescribed now. */
final readonly class Prescribed
{
    public function __construct(
        public Rung $rung,
        public Hands $hands,
        public Dose $dose,
    ) {
    }

    /**
     * What a routine or several prescribe: each item once, pauses left out.
     *
     * @param list<Item> $items
     *
     * @return list<self>
     */
    public static function in(array $items): array
    {
        $prescribed = [];
        foreach ($items as $item) {
            if (!$item->isPause) {
                $prescribed[$item->key()] ??= new self($item->rung, $item->hands, $item->dose);
            }
        }

        return array_values($prescribed);
    }

    public function key(): string
    {
        return (new ItemKey($this->rung->id, $this->hands))->text();
    }
}
