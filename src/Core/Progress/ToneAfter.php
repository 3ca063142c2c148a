<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

enum ToneAfter: string
{
    case Looser = 'looser';
    case Same = 'same';
    case Tighter = 'tighter';
}
