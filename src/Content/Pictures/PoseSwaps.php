<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Catalogue\Picture;

/** Hand shapes that a clinic does not show are drawn as others. */
interface PoseSwaps
{
    public function applyTo(Picture $picture): Picture;
}
