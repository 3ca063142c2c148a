<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\ClinicRepository;
use HandGarden\Home\DeviceSecret;
use Symfony\Component\Uid\Uuid;

/** Care homes of the clinic, who works there, and their tablets. */
final readonly class CareHomes
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ClinicRepository $clinics,
    ) {
    }

    /** @return list<CareHome> by name */
    public function all(): array
    {
        return $this->entities->getRepository(CareHome::class)->findBy(
            ['clinicId' => $this->clinics->own()->id],
            ['name' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function find(string $clinicId, string $id): ?CareHome
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(CareHome::class)->findOneBy(
                ['clinicId' => $clinicId, 'id' => $id],
            )
            : null;
    }

    /** @return list<CareWorker> who have not left */
    public function workers(CareHome $home): array
    {
        return $this->entities->getRepository(CareWorker::class)->findBy(
            ['careHomeId' => $home->id, 'leftAt' => null],
            ['name' => 'ASC', 'id' => 'ASC'],
        );
    }

    public function worker(CareHome $home, string $id): ?CareWorker
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(CareWorker::class)->findOneBy(
                ['careHomeId' => $home->id, 'id' => $id, 'leftAt' => null],
            )
            : null;
    }

    public function workerByInitials(CareHome $home, string $initials): ?CareWorker
    {
        return $this->entities->getRepository(CareWorker::class)->findOneBy(
            ['careHomeId' => $home->id, 'initials' => mb_strtoupper($initials), 'leftAt' => null],
        );
    }

    /** @return list<SharedTablet> newest first, those that were taken out too */
    public function tablets(CareHome $home): array
    {
        return $this->entities->getRepository(SharedTablet::class)->findBy(
            ['careHomeId' => $home->id],
            ['madeAt' => 'DESC'],
        );
    }

    public function tabletBySecret(#[\SensitiveParameter] string $secret): ?SharedTablet
    {
        $found = $this->entities->createQuery(
            'SELECT t FROM '.SharedTablet::class.' t
                WHERE t.secret.secretHash = :hash OR t.secret.previousHash = :hash',
        )->setParameter('hash', DeviceSecret::hash($secret))->getOneOrNullResult();

        return $found instanceof SharedTablet ? $found : null;
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }
}
