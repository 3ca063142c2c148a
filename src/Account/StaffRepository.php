<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;

/** The people of the clinic of who is signed in. */
final readonly class StaffRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Who $who,
    ) {
    }

    /** @return list<Staff> who are here before who has left, by name */
    public function all(): array
    {
        return $this->entities->getRepository(Staff::class)->findBy(
            ['clinicId' => $this->who->clinicId()],
            ['active' => 'DESC', 'name' => 'ASC'],
        );
    }

    public function find(string $id): ?Staff
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Staff::class)->findOneBy(
                ['id' => $id, 'clinicId' => $this->who->clinicId()],
            )
            : null;
    }

    public function isTaken(string $email): bool
    {
        return null !== $this->entities->getRepository(Staff::class)->findOneBy(
            ['email' => mb_strtolower(trim($email))],
        );
    }

    /** Whether a lead would be left without this one. */
    public function isLastLead(Staff $staff): bool
    {
        $leads = array_filter(
            $this->all(),
            static fn (Staff $s): bool => $s->active && $s->isLead() && '' !== $s->password,
        );

        return [$staff->id] === array_column($leads, 'id');
    }

    /** @return array<string, string> names of therapists who could take the clients of this one, by id */
    public function whoCouldTakeFrom(Staff $staff): array
    {
        $others = [];
        foreach ($this->all() as $other) {
            if ($other->canHaveClients() && $other->id !== $staff->id) {
                $others[$other->id] = $other->name;
            }
        }

        return $others;
    }

    public function add(Staff $staff): void
    {
        $this->entities->persist($staff);
        $this->entities->flush();
    }

    public function takeOffSecondFactor(Staff $staff): void
    {
        $staff->takeOffSecondFactor();
        $this->entities->flush();
    }

    public function keep(): void
    {
        $this->entities->flush();
    }
}
