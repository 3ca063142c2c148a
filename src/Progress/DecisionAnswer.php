<?php

declare(strict_types=1);

namespace HandGarden\Progress;

enum DecisionAnswer: string
{
    case Accepted = 'accepted';
    case Adjusted = 'adjusted';
    case Declined = 'declined';
}
