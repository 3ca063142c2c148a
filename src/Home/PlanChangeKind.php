<?php

declare(strict_types=1);

namespace HandGarden\Home;

enum PlanChangeKind: string
{
    case Dose = 'dose';
    case Added = 'added';
    case TakenOut = 'taken-out';
}
