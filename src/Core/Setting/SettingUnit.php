<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

/** What a setting is counted in. */
enum SettingUnit: string
{
    case Days = 'days';
    case Weeks = 'weeks';
    case Years = 'years';
    case Minutes = 'minutes';
    case Degrees = 'degrees';
    case Percent = 'percent';
    /** Points of an opening in percent, or of the objective. */
    case Points = 'points';
    case Grades = 'grades';
    /** 0 to 10 */
    case Pain = 'pain';
    case Tiredness = 'tiredness';
    case Share = 'share';
    case Sittings = 'sittings';
    case Steps = 'steps';
    case Items = 'items';
    case Places = 'places';
    case Effort = 'effort';
    case Seconds = 'seconds';
    case Kilograms = 'kilograms';
    case Times = 'times';
}
