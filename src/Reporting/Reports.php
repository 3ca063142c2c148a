<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Report\ReportKind;
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

    /** @return list<Report> of a kind, the one that was signed last first */
    public function signed(Client $client, ReportKind $kind): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Report::class)->findBy(
                $client->scope() + ['kind' => $kind],
                ['signedAt' => 'DESC', 'id' => 'DESC'],
            ),
            static fn (Report $r): bool => $r->isSigned(),
        ));
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
