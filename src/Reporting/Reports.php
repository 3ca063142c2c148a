<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use Symfony\Component\Uid\Uuid;

/** Reports of clients. */
final readonly class Reports
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Report> newest first */
    public function of(Client $client): array
    {
        return $this->entities->getRepository(Report::class)->findBy(
            $client->scope(),
            ['draftedAt' => 'DESC', 'id' => 'DESC'],
        );
    }

    public function find(Client $client, string $id): ?Report
    {
        return Uuid::isValid($id)
            ? $this->entities->getRepository(Report::class)->findOneBy($client->scope() + ['id' => $id])
            : null;
    }

    public function keep(Report ...$reports): void
    {
        array_map($this->entities->persist(...), $reports);
        $this->entities->flush();
    }

    /** A draft that nobody signed. */
    public function drop(Report $draft): void
    {
        if (!$draft->isSigned()) {
            $this->entities->remove($draft);
            $this->entities->flush();
        }
    }
}
