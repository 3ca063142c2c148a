<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Setting;

use HandGarden\Core\Setting\Setting;
use HandGarden\Core\Setting\SettingGroup;
use HandGarden\Core\Setting\SettingList;
use HandGarden\Core\Setting\SettingValues;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The figures that a clinic may set: each has safe bounds, reaches the object that is asked, and is asked for. */
final class SettingListTest extends TestCase
{
    private const SRC = __DIR__.'/../../../src';
    /** Where settings are named without being asked. */
    private const NAMES_ONLY = '/src/Core/Setting/';

    private static string $sources = '';

    /** @return iterable<string, array{Setting}> */
    public static function settings(): iterable
    {
        foreach (SettingList::all() as $key => $setting) {
            yield $key => [$setting];
        }
    }

    #[DataProvider('settings')]
    public function testTheDefaultIsSafeAndTheBoundsLeaveRoom(Setting $setting): void
    {
        self::assertGreaterThanOrEqual($setting->least, $setting->default);
        self::assertLessThanOrEqual($setting->most, $setting->default);
        self::assertLessThan($setting->most, $setting->least);
        self::assertFalse($setting->allows($setting->least - $setting->step));
        self::assertFalse($setting->allows($setting->most + $setting->step));
    }

    #[DataProvider('settings')]
    public function testWhatIsSetReachesTheObjectThatIsAskedAndNothingElseMoves(Setting $setting): void
    {
        $value = $setting->default > $setting->least ? $setting->least : $setting->most;
        $usual = self::figures(new SettingValues(), $setting->group);
        $set = self::figures(new SettingValues([$setting->key() => $value]), $setting->group);

        self::assertEqualsWithDelta($value, $set[$setting->name], 1e-9);
        self::assertSame(
            array_diff_key($usual, [$setting->name => 0]),
            array_diff_key($set, [$setting->name => 0]),
        );
    }

    #[DataProvider('settings')]
    public function testItIsAskedForSomewhere(Setting $setting): void
    {
        $asked = preg_match('/->'.$setting->name.'\b/', self::sources());

        self::assertSame(1, $asked, $setting->key().' is set and read by nothing');
    }

    public function testWhatIsNotSafeOrUnknownIsTheDefault(): void
    {
        $values = new SettingValues(
            ['progress.painSuspends' => 9, 'progress.none' => 3, 'ages.numberDays' => 'x'],
        );

        self::assertSame(7, $values->progress()->painSuspends);
        self::assertSame(28, $values->thresholds()->ages->numberDays);
    }

    public function testFiguresThatBelongTogetherKeepTheirOrder(): void
    {
        self::assertSame([], SettingList::outOfOrder(new SettingValues()));
        $wrong = SettingList::outOfOrder(
            new SettingValues(['progress.painSuspends' => 4, 'ages.numberDays' => 14]),
        );
        self::assertSame([], $wrong, 'equal is in order');
        $wrong = SettingList::outOfOrder(new SettingValues(['sitting.usualEffort' => 1.5]));

        self::assertSame(['sitting.lowEffort', 'sitting.usualEffort'], array_map(
            static fn (Setting $s): string => $s->key(),
            $wrong[0],
        ));
    }

    public function testWhatProtectsCanOnlyBeMadeMoreCareful(): void
    {
        foreach (['painFrom', 'painSuspends', 'tighterSittings', 'fatigueHigh', 'stepsInAll', 'breakDays'] as $name) {
            $setting = SettingList::all()['progress.'.$name];
            self::assertSame($setting->default, $setting->most, $name);
        }
        foreach (['quietDays', 'backDays', 'cleanDays'] as $name) {
            $setting = SettingList::all()['progress.'.$name];
            self::assertSame($setting->default, $setting->least, $name);
        }
    }

    /** @return array<string, mixed> by name */
    private static function figures(SettingValues $values, SettingGroup $group): array
    {
        $object = match ($group) {
            SettingGroup::Progress => $values->progress(),
            SettingGroup::Sitting => $values->sitting(),
            SettingGroup::Doses => $values->thresholds()->caps,
            SettingGroup::Weights => $values->weights(),
            SettingGroup::Findings => $values->thresholds()->findings,
            SettingGroup::Differences => $values->differences(),
            SettingGroup::Ages => $values->thresholds()->ages,
            SettingGroup::Days => $values->days(),
        };
        $figures = [];
        foreach (get_object_vars($object) as $name => $value) {
            $figures[(string) $name] = $value;
        }

        return $figures;
    }

    private static function sources(): string
    {
        if ('' !== self::$sources) {
            return self::$sources;
        }
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::SRC));
        foreach ($files as $file) {
            self::assertInstanceOf(\SplFileInfo::class, $file);
            $path = (string) $file->getRealPath();
            $isAsking = str_ends_with($path, '.php') && !str_contains($path, self::NAMES_ONLY);
            self::$sources .= $isAsking ? (string) file_get_contents($path) : '';
        }

        return self::$sources;
    }
}
