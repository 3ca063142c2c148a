<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

/** What settings are about; each group is a page. */
enum SettingGroup: string
{
    case Progress = 'progress';
    case Sitting = 'sitting';
    case Doses = 'doses';
    case Weights = 'weights';
    case Findings = 'findings';
    case Differences = 'differences';
    case Ages = 'ages';
    case Days = 'days';
}
