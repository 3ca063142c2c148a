<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;

/** The audit trail of a clinic, to be read. */
final readonly class Trail
{
    public const PAGE = 50;

    public function __construct(
        private EntityManagerInterface $entities,
        private Who $who,
    ) {
    }

    /**
     * @param string $zone by whose days it is looked for
     *
     * @return list<AuditLine> newest first; one more than a page where there is another
     */
    public function find(TrailSearch $search, string $zone, int $page): array
    {
        $query = $this->entities->createQueryBuilder()
            ->select('line')
            ->from(AuditLine::class, 'line')
            ->where('line.clinicId = :clinic')
            ->setParameter('clinic', $this->who->clinicId())
            ->orderBy('line.at', 'DESC')
            ->addOrderBy('line.id', 'DESC')
            ->setFirstResult(self::PAGE * ($page - 1))
            ->setMaxResults(self::PAGE + 1);
        if (!$search->isReads) {
            $query->andWhere("line.action NOT LIKE 'read %'");
        }
        if (null !== $search->staffId) {
            $query->andWhere('line.actorId = :staff OR line.subjectId = :staff')
                ->setParameter('staff', $search->staffId);
        }
        if (null !== $search->clientId) {
            $query->andWhere('line.clientId = :client')->setParameter('client', $search->clientId);
        }
        if ('' !== $search->words) {
            $query->andWhere('line.action LIKE :words')
                ->setParameter('words', '%'.addcslashes(mb_strtolower($search->words), '%_\\').'%');
        }
        if (null !== $search->from) {
            $query->andWhere('line.at >= :from')->setParameter('from', self::beginOf($search->from, $zone));
        }
        if (null !== $search->until) {
            $query->andWhere('line.at < :until')
                ->setParameter('until', self::beginOf($search->until->modify('+1 day'), $zone));
        }
        /** @var list<AuditLine> $lines */
        $lines = $query->getQuery()->getResult();

        return $lines;
    }

    private static function beginOf(\DateTimeImmutable $day, string $zone): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day->format('Y-m-d'), new \DateTimeZone($zone));
    }
}
