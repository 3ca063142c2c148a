<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;

/** By which hours the limits of a clinic run. */
final readonly class ClinicHours
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function of(string $clinicId): OpeningHours
    {
        return $this->entities->find(Clinic::class, $clinicId)?->openingHours()
            ?? throw new \LogicException('Every record belongs to a clinic.');
    }
}
