<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Web\Wording;

/** What rests, by name. */
final readonly class SuspensionWords
{
    public function __construct(
        private CatalogueStore $catalogue,
        private Wording $wording,
    ) {
    }

    /** An exercise, a part of the arm, or the whole routine. */
    public function nameOf(Suspension $rests): string
    {
        if (Decided::EVERYTHING === $rests->itemKey) {
            return $this->wording->word('alert_words.routine');
        }
        if (str_starts_with($rests->itemKey, 'part:')) {
            [$part, $side] = explode('|', substr($rests->itemKey, 5)) + [
                '',
                '',
            ];

            return $this->wording->word('part.'.$part).', '.$side;
        }
        $key = ItemKey::fromText($rests->itemKey);

        return null === $key
            ? $rests->itemKey
            : $this->catalogue->get()->nameOf($key->rungId).', '.$key->hands->label();
    }
}
