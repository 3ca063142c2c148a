<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Drawing\Place;
use HandGarden\Core\Drawing\View;

/** A round picture of the hand beside a whole figure. */
final readonly class CloseUp
{
    /** @param list<Place> $crop */
    public function __construct(
        public Still $still,
        public View $view,
        public array $crop = [],
    ) {
    }
}
