<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

use HandGarden\Core\Measure\Change\Defaults;
use HandGarden\Core\Measure\Finding\Settings;
use HandGarden\Core\Placement\Ages;
use HandGarden\Core\Placement\Thresholds;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Routine\SittingDefaults;
use HandGarden\Core\Routine\Weights;
use HandGarden\Core\Screening\DoseCaps;

/** The settings of a clinic as the objects that the rules ask. What is not set, or no longer safe, is the default. */
final readonly class SettingValues
{
    /** @var array<string, float> by key, of settings that are not at their default */
    private array $own;

    /** @param array<string, mixed> $values by key */
    public function __construct(array $values = [])
    {
        $own = [];
        foreach (SettingList::all() as $key => $setting) {
            $value = $values[$key] ?? null;
            if (is_numeric($value) && $setting->allows((float) $value)) {
                $own[$key] = (float) $value;
            }
        }
        $this->own = $own;
    }

    public function value(Setting $setting): float
    {
        return $this->own[$setting->key()] ?? $setting->default;
    }

    public function progress(): ProgressSettings
    {
        return $this->made(ProgressSettings::class, SettingGroup::Progress);
    }

    public function thresholds(): Thresholds
    {
        return new Thresholds(
            $this->made(Ages::class, SettingGroup::Ages),
            $this->made(Settings::class, SettingGroup::Findings),
            $this->made(DoseCaps::class, SettingGroup::Doses),
        );
    }

    public function differences(): Defaults
    {
        return $this->made(Defaults::class, SettingGroup::Differences);
    }

    public function sitting(): SittingDefaults
    {
        return $this->made(SittingDefaults::class, SettingGroup::Sitting);
    }

    public function weights(): Weights
    {
        return $this->made(Weights::class, SettingGroup::Weights);
    }

    public function days(): DayDefaults
    {
        return $this->made(DayDefaults::class, SettingGroup::Days);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class whose constructor names the settings of the group
     *
     * @return T
     */
    private function made(string $class, SettingGroup $group): object
    {
        $values = [];
        foreach (SettingList::of($group) as $setting) {
            $value = $this->own[$setting->key()] ?? null;
            if (null !== $value) {
                $values[$setting->name] = $setting->isWhole() ? (int) $value : $value;
            }
        }

        return new $class(...$values);
    }
}
