<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Scene;

/** A simple shape in the axes of the thing it is a part of, in millimetres. */
interface Solid
{
    public function addTo(Scene $scene, Frame $axes): void;

    /** @return array<string, mixed> everything that decides how it looks */
    public function toArray(): array;
}
