<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Core\Setting\SettingValues;
use Symfony\Contracts\Service\ResetInterface;

/** The figures a clinic has set, as the rules ask for them; each clinic's are read once a request. */
final class ClinicSettings implements ResetInterface
{
    /** @var array<string, SettingValues> by clinic */
    private array $values = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
    ) {
    }

    public function of(string $clinicId): SettingValues
    {
        return $this->values[$clinicId] ??= new SettingValues(
            $this->entities->find(Clinic::class, $clinicId)->settings ?? [],
        );
    }

    public function reset(): void
    {
        $this->values = [];
    }
}
