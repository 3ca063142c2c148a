<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;

/** Names of the people of a clinic, each asked for once a page. */
final class StaffNames implements ResetInterface
{
    /** @var array<string, array<string, string>> by clinic and id */
    private array $names = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
    ) {
    }

    /** Empty where nobody of this clinic has the id. */
    public function of(string $clinicId, string $id): string
    {
        if (!isset($this->names[$clinicId])) {
            $this->names[$clinicId] = [];
            foreach ($this->entities->getRepository(Staff::class)->findBy(
                ['clinicId' => $clinicId],
            ) as $staff) {
                $this->names[$clinicId][$staff->id] = $staff->name;
            }
        }

        return $this->names[$clinicId][$id] ?? '';
    }

    public function reset(): void
    {
        $this->names = [];
    }
}
