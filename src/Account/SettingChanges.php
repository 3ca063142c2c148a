<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Core\Setting\Setting;
use HandGarden\Web\Clock;

/** The figures of a clinic with their history. */
final readonly class SettingChanges
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ClinicSettings $settings,
        private Clock $clock,
    ) {
    }

    /** @return array<string, SettingChange> the last of each, by key */
    public function last(string $clinicId): array
    {
        $last = [];
        foreach (
            $this->entities->getRepository(SettingChange::class)->findBy(
                ['clinicId' => $clinicId],
                ['at' => 'ASC', 'id' => 'ASC'],
            ) as $change
        ) {
            $last[$change->key] = $change;
        }

        return $last;
    }

    public function set(Clinic $clinic, Setting $setting, float $value, string $byStaffId): void
    {
        $isDefault = abs($value - $setting->default) < 1e-9;
        $own = array_diff_key($clinic->settings, [$setting->key() => 0.0]);
        $clinic->settings = $isDefault ? $own : $own + [$setting->key() => $value];
        $this->entities->persist(new SettingChange(
            $clinic->id,
            $setting->key(),
            $isDefault ? null : $value,
            $byStaffId,
            at: $this->clock->now(),
        ));
        $this->entities->flush();
        $this->settings->reset();
    }
}
