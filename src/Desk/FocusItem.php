<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\LadderView;

/** One of the ladders that matter most, with what is done on it and why it stands where it stands. */
final readonly class FocusItem
{
    /**
     * @param list<string>        $shapes   of the nodes of its stem, easiest first
     * @param ?string             $exercise of the routine that stands on it; null: none
     * @param ?\DateTimeImmutable $since    when the dose was set
     * @param ?Phrase             $because  of the last step; null: it is the first dose, or set by hand
     */
    public function __construct(
        public LadderView $ladder,
        public array $shapes,
        public ?string $exercise,
        public ?Dose $dose,
        public ?\DateTimeImmutable $since,
        public ?Phrase $because,
        public ?Strip $strip,
    ) {
    }
}
