<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** Who moved the joint: the client (AROM) or someone else (PROM). */
enum Mode: string
{
    case Active = 'active';
    case Passive = 'passive';
}
