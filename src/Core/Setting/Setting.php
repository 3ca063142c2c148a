<?php

declare(strict_types=1);

namespace HandGarden\Core\Setting;

/** A figure that a clinic may set, within what is safe. */
final readonly class Setting
{
    /**
     * @param string $name    of the field of the object that is asked
     * @param float  $default what counts where the clinic has set nothing
     * @param float  $least   what it may be at least: beyond either bound it would no longer protect, or make no sense
     * @param float  $step    what it is a multiple of
     */
    public function __construct(
        public SettingGroup $group,
        public string $name,
        public SettingUnit $unit,
        public float $default,
        public float $least,
        public float $most,
        public float $step,
        public Touches $touches,
    ) {
    }

    public function key(): string
    {
        return $this->group->value.'.'.$this->name;
    }

    public function allows(float $value): bool
    {
        $steps = $value / $this->step;

        return $value >= $this->least && $value <= $this->most && abs($steps - round($steps)) < 1e-6;
    }

    public function isWhole(): bool
    {
        return floor($this->step) === $this->step;
    }
}
