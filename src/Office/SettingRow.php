<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\SettingChange;
use HandGarden\Core\Setting\Setting;
use HandGarden\Core\Setting\SettingUnit;

/** A setting as a page shows it: shares as percent, the others as they are. */
final readonly class SettingRow
{
    public function __construct(
        public Setting $setting,
        public float $kept,
        public ?SettingChange $last,
    ) {
    }

    /** The field of the form. */
    public function field(): string
    {
        return $this->setting->name;
    }

    public function keptText(): string
    {
        return self::text($this->setting, $this->kept);
    }

    public function defaultText(): string
    {
        return self::text($this->setting, $this->setting->default);
    }

    public function leastText(): string
    {
        return self::text($this->setting, $this->setting->least);
    }

    public function mostText(): string
    {
        return self::text($this->setting, $this->setting->most);
    }

    public static function text(Setting $setting, float $value): string
    {
        return (string) round(
            self::isShare($setting) ? 100.0 * $value : $value,
            self::isShare($setting) ? 0 : 2,
        );
    }

    /** What was typed; null: it is no number within the bounds. */
    public static function read(Setting $setting, string $typed): ?float
    {
        $text = str_replace(',', '.', trim($typed));
        if ($text === self::text($setting, $setting->default)) {
            return $setting->default; // a third is shown as 33
        }
        if (1 !== preg_match('/^\d{1,4}(\.\d{1,3})?$/D', $text)) {
            return null;
        }
        $value = self::isShare($setting) ? (float) $text / 100.0 : (float) $text;

        return $setting->allows($value) ? $value : null;
    }

    private static function isShare(Setting $setting): bool
    {
        return SettingUnit::Share === $setting->unit;
    }
}
