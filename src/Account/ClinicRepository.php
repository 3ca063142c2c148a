<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;

final readonly class ClinicRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Who $who,
    ) {
    }

    /** The clinic of the person who is signed in. */
    public function own(): Clinic
    {
        return $this->entities->find(Clinic::class, $this->who->clinicId())
            ?? throw new \LogicException('A person always has a clinic.');
    }

    /** The same for somebody who is about to change it: one at a time, the others wait. */
    public function ownToChange(): Clinic
    {
        $clinic = $this->own();
        $this->entities->refresh($clinic, LockMode::PESSIMISTIC_WRITE);

        return $clinic;
    }

    public function keep(): void
    {
        $this->entities->flush();
    }

    /** @return array<string, string> names of the clinic's people by id */
    public function namesOfStaff(): array
    {
        $names = [];
        foreach (
            $this->entities->getRepository(Staff::class)->findBy(
                ['clinicId' => $this->who->clinicId()],
                ['name' => 'ASC'],
            ) as $staff
        ) {
            $names[$staff->id] = $staff->name;
        }

        return $names;
    }
}
