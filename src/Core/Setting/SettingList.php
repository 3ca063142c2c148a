<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

use HandGarden\Core\Measure\Change\Defaults;
use HandGarden\Core\Measure\Finding\Settings;
use HandGarden\Core\Placement\Ages;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Routine\SittingDefaults;
use HandGarden\Core\Routine\Weights;
use HandGarden\Core\Screening\DoseCaps;

/**
 * Every figure that a clinic may set, with its unit and its safe bounds. The default is what the object that is asked
 * holds by itself: it stands there alone. Where a figure protects, it can be made more careful and not less.
 */
final class SettingList
{
    private const PROGRESS = [
        'windowDays' => [SettingUnit::Days, 7, 28],
        'leastWindowPractice' => [SettingUnit::Days, 3, 6],
        'mostWindowDays' => [SettingUnit::Days, 28, 56],
        'logDays' => [SettingUnit::Days, 42, 84],
        'leastSittings' => [SettingUnit::Sittings, 3, 6],
        'painFrom' => [SettingUnit::Pain, 2, 4],
        'painRise' => [SettingUnit::Pain, 0, 1],
        'painRiseAlone' => [SettingUnit::Pain, 1, 2],
        'painSuspends' => [SettingUnit::Pain, 4, 7],
        'tighterSittings' => [SettingUnit::Sittings, 1, 2, 1, Touches::TightHand],
        'compensationShare' => [SettingUnit::Share, 0.1, 0.34, 0.01],
        'fatigueHigh' => [SettingUnit::Tiredness, 5, 8],
        'fatigueSittings' => [SettingUnit::Sittings, 1, 2],
        'breakDays' => [SettingUnit::Days, 4, 7],
        'longBreakDays' => [SettingUnit::Days, 8, 14],
        'plateauAdherence' => [SettingUnit::Share, 0.5, 0.9, 0.05],
        'missedSittings' => [SettingUnit::Sittings, 2, 5],
        'backDays' => [SettingUnit::Days, 3, 7],
        'onceInDays' => [SettingUnit::Days, 14, 42],
        'quietDays' => [SettingUnit::Days, 2, 7],
        'toldDays' => [SettingUnit::Days, 2, 3],
        'usualPain' => [SettingUnit::Pain, 1, 3],
        'creepDays' => [SettingUnit::Days, 3, 7],
        'creepBy' => [SettingUnit::Pain, 1, 2],
        'missedBelow' => [SettingUnit::Share, 0.6, 0.8, 0.05],
        'missedDays' => [SettingUnit::Days, 1, 2],
        'stepsOfAnItem' => [SettingUnit::Steps, 1, 2],
        'stepsOfAPart' => [SettingUnit::Steps, 1, 4],
        'stepsInAll' => [SettingUnit::Steps, 2, 6],
        'seldomBelow' => [SettingUnit::Share, 0.4, 0.8, 0.05],
        'seldomFrom' => [SettingUnit::Sittings, 4, 10],
        'fallenItems' => [SettingUnit::Items, 2, 3],
        'cleanDays' => [SettingUnit::Days, 3, 7],
    ];
    private const FINDINGS = [
        'gainPoints' => [SettingUnit::Points, 10, 30, 1],
        'stiffOpeningPercent' => [SettingUnit::Percent, 40, 80, 1],
        'freeOpeningPercent' => [SettingUnit::Percent, 50, 90, 1],
        'weakOpeningPercent' => [SettingUnit::Percent, 20, 60, 1],
        'meanLagDegrees' => [SettingUnit::Degrees, 15, 45, 1],
        'hardSpreadDegrees' => [SettingUnit::Degrees, 5, 15, 1, Touches::TightHand],
        'toneSpreadDegrees' => [SettingUnit::Degrees, 10, 30, 1, Touches::TightHand],
        'intrinsicDegrees' => [SettingUnit::Degrees, 10, 25, 1],
        'limitedBelowOtherDegrees' => [SettingUnit::Degrees, 10, 25, 1],
    ];
    private const DIFFERENCES = [
        'jointSameTesterDegrees' => [SettingUnit::Degrees, 5, 15, 1],
        'jointOtherTesterDegrees' => [SettingUnit::Degrees, 10, 20, 1],
        'openingMeasuredPoints' => [SettingUnit::Points, 10, 25, 1],
        'openingByEyePoints' => [SettingUnit::Points, 20, 40, 1],
        'toneGrades' => [SettingUnit::Grades, 1, 2, 1, Touches::TightHand],
        'oppositionPlaces' => [SettingUnit::Places, 2, 4, 1],
    ];
    private const AGES = [
        'numberDays' => [SettingUnit::Days, 14, 42],
        'shortDays' => [SettingUnit::Days, 7, 14],
        'shortAfterInjectionDays' => [SettingUnit::Days, 3, 7, 1, Touches::AfterInjection],
        'injectionWeeks' => [SettingUnit::Weeks, 12, 20, 1, Touches::AfterInjection],
        'screeningDays' => [SettingUnit::Days, 30, 90],
    ];
    private const SITTING = [
        'clinicMinutes' => [SettingUnit::Minutes, 10, 90],
        'homeItems' => [SettingUnit::Items, 3, 8],
        'clinicItems' => [SettingUnit::Items, 4, 12],
        'lowEffort' => [SettingUnit::Effort, 1.0, 2.0, 0.1, Touches::TiresQuickly],
        'usualEffort' => [SettingUnit::Effort, 1.5, 3.0, 0.1, Touches::UsualStamina],
        'goodEffort' => [SettingUnit::Effort, 2.0, 3.5, 0.1, Touches::GoodStamina],
        'classPlaces' => [SettingUnit::Places, 1, 6],
    ];
    private const DOSES = [
        'holdSeconds' => [SettingUnit::Seconds, 5, 60],
        'repetitions' => [SettingUnit::Times, 3, 30],
        'loadKilograms' => [SettingUnit::Kilograms, 0.25, 2.0, 0.25],
    ];
    private const DAYS = [
        'seldomShare' => [SettingUnit::Share, 0.2, 0.8, 0.05],
        'keptYears' => [SettingUnit::Years, 3, 30, 1, Touches::Archived],
    ];

    /** The first of two is never more than the second: else the rule between them would say nothing. */
    private const IN_ORDER = [
        ['progress.usualPain', 'progress.painFrom'],
        ['progress.painFrom', 'progress.painSuspends'],
        ['progress.breakDays', 'progress.longBreakDays'],
        ['progress.windowDays', 'progress.mostWindowDays'],
        ['progress.mostWindowDays', 'progress.logDays'],
        ['progress.stepsOfAnItem', 'progress.stepsOfAPart'],
        ['progress.stepsOfAPart', 'progress.stepsInAll'],
        ['findings.weakOpeningPercent', 'findings.freeOpeningPercent'],
        ['findings.stiffOpeningPercent', 'findings.freeOpeningPercent'],
        ['findings.hardSpreadDegrees', 'findings.toneSpreadDegrees'],
        ['differences.jointSameTesterDegrees', 'differences.jointOtherTesterDegrees'],
        ['differences.openingMeasuredPoints', 'differences.openingByEyePoints'],
        ['ages.shortAfterInjectionDays', 'ages.shortDays'],
        ['ages.shortDays', 'ages.numberDays'],
        ['sitting.homeItems', 'sitting.clinicItems'],
        ['sitting.lowEffort', 'sitting.usualEffort'],
        ['sitting.usualEffort', 'sitting.goodEffort'],
    ];

    /** @var array<string, Setting>|null */
    private static ?array $all = null;

    /** @return array<string, Setting> by key, in the order in which they are shown */
    public static function all(): array
    {
        if (null === self::$all) {
            self::$all = [];
            foreach (SettingGroup::cases() as $group) {
                foreach (self::read($group) as $setting) {
                    self::$all[$setting->key()] = $setting;
                }
            }
        }

        return self::$all;
    }

    /** @return array<string, Setting> by key */
    public static function of(SettingGroup $group): array
    {
        return array_filter(self::all(), static fn (Setting $s): bool => $group === $s->group);
    }

    /** @return list<array{Setting, Setting}> whose first value is more than the second */
    public static function outOfOrder(SettingValues $values): array
    {
        $all = self::all();
        $wrong = [];
        foreach (self::IN_ORDER as [$less, $more]) {
            if ($values->value($all[$less]) > $values->value($all[$more])) {
                $wrong[] = [$all[$less], $all[$more]];
            }
        }

        return $wrong;
    }

    /** @return list<Setting> */
    private static function read(SettingGroup $group): array
    {
        $settings = [];
        foreach (self::defaults($group) as $name => $default) {
            [$unit, $least, $most] = $bounds = self::bounds($group, $name);
            $settings[] = new Setting(
                $group,
                $name,
                $unit,
                $default,
                least: (float) $least,
                most: (float) $most,
                step: (float) ($bounds[3] ?? 1),
                touches: $bounds[4] ?? Touches::Everybody,
            );
        }

        return $settings;
    }

    /** @return array<string, float> by name */
    private static function defaults(SettingGroup $group): array
    {
        $object = match ($group) {
            SettingGroup::Progress => new ProgressSettings(),
            SettingGroup::Findings => new Settings(),
            SettingGroup::Differences => new Defaults(),
            SettingGroup::Ages => new Ages(),
            SettingGroup::Sitting => new SittingDefaults(),
            SettingGroup::Doses => new DoseCaps(),
            SettingGroup::Weights => new Weights(),
            SettingGroup::Days => new DayDefaults(),
        };
        $defaults = [];
        foreach (get_object_vars($object) as $name => $value) {
            if (\is_int($value) || \is_float($value)) {
                $defaults[(string) $name] = (float) $value;
            }
        }

        return $defaults;
    }

    /** @return array{0: SettingUnit, 1: int|float, 2: int|float, 3?: int|float, 4?: Touches} */
    private static function bounds(SettingGroup $group, string $name): array
    {
        return match ($group) {
            SettingGroup::Progress => self::PROGRESS[$name],
            SettingGroup::Findings => self::FINDINGS[$name],
            SettingGroup::Differences => self::DIFFERENCES[$name],
            SettingGroup::Ages => self::AGES[$name],
            SettingGroup::Sitting => self::SITTING[$name],
            SettingGroup::Doses => self::DOSES[$name],
            SettingGroup::Weights => [SettingUnit::Points, 0, Weights::MOST],
            SettingGroup::Days => self::DAYS[$name],
        };
    }
}
