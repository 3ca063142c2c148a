<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\WorkKind;

/** Pain belongs to a part: these an exercise works, in whichever way. */
final class WorkedParts
{
    /** @return list<ArmPart> */
    public static function of(Rung $rung): array
    {
        return $rung->demands->works->parts(...WorkKind::cases());
    }
}
