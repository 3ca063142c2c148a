<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What is still to be done after an alert was answered. */
enum AlertNext: string
{
    case Screening = 'screening';
    case Doctor = 'doctor';
    case Visit = 'visit';
}
