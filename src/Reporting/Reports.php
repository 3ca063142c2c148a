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

    /** @return list<ReportRow> newest first */
    public function of(Client $client): array
    {
        /** @var list<ReportRow> $rows */
        $rows = $this->entities->createQuery(
            'SELECT NEW '.ReportRow::class.'(r.id, r.kind, r.from, r.until, r.version, r.draftedById, r.signedAs,
                r.signedAt) FROM '.Report::class.' r WHERE r.clinicId = :clinicId AND r.clientId = :clientId
                ORDER BY r.draftedAt DESC, r.id DESC',
        )
            ->setParameters($client->scope())
            ->getResult();

        return $rows;
    }

    /** The one of a kind that was signed last and that a client may read at home. */
    public function lastAtHome(Client $client, ReportKind $kind): ?Report
    {
        /** @var ?Report $last */
        $last = $this->entities->createQuery(
            'SELECT r FROM '.Report::class.' r WHERE r.clinicId = :clinicId AND r.clientId = :clientId
                AND r.kind = :kind AND r.isAtHome = true AND r.signedAt IS NOT NULL
                ORDER BY r.signedAt DESC, r.id DESC',
        )
            ->setParameters($client->scope() + ['kind' => $kind])
            ->setMaxResults(1)
            ->getOneOrNullResult();

        return $last;
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
