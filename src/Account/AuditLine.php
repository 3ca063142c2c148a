<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Actor\ActorKind;

/** One line of the audit trail; written by `Audit`, never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'audit_line')]
#[ORM\Index(name: 'audit_by_client', columns: ['clinic_id', 'client_id', 'at'])]
#[ORM\Index(name: 'audit_by_time', columns: ['clinic_id', 'at', 'id'])]
class AuditLine
{
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $actorKind,
        #[ORM\Column(length: 36)]
        public readonly string $actorId,
        #[ORM\Column(length: 60)]
        public readonly string $action,
        /** Null: it is not about a client. */
        #[ORM\Column(type: Types::GUID, nullable: true)]
        public readonly ?string $clientId,
        #[ORM\Column(length: 80)]
        public readonly string $subjectId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
    }
}
