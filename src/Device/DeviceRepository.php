<?php

declare(strict_types=1);

namespace HandGarden\Device;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;

/** The devices of a clinic. */
final readonly class DeviceRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Device> in use, oldest first */
    public function for(string $clinicId): array
    {
        return $this->entities->getRepository(Device::class)->findBy(
            ['clinicId' => $clinicId, 'retiredAt' => null],
            ['createdAt' => 'ASC', 'name' => 'ASC'],
        );
    }

    public function find(string $clinicId, string $id): ?Device
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Device::class)->findOneBy(
                ['id' => $id, 'clinicId' => $clinicId, 'retiredAt' => null],
            )
            : null;
    }

    public function add(Device $device): void
    {
        $this->entities->persist($device);
        $this->entities->flush();
    }

    public function save(): void
    {
        $this->entities->flush();
    }
}
