<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

/** How many of the staff a class needs beside it. */
final readonly class Staffing
{
    /** @param int $mostPlaces that one of the staff looks after, where nobody has to be beside one of them */
    public function __construct(
        private int $mostPlaces,
    ) {
    }

    /** @param int $oneToOne of the places, those with one of the staff beside them alone */
    public function needed(int $places, int $oneToOne): int
    {
        $others = $places - $oneToOne;

        return $oneToOne + (int) ceil($others / max(1, $this->mostPlaces));
    }
}
