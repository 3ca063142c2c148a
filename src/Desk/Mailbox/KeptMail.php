<?php

declare(strict_types=1);

namespace HandGarden\Desk\Mailbox;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A mail of the demonstration: kept here in place of being sent. */
#[ORM\Entity]
#[ORM\Table(name: 'kept_mail')]
class KeptMail
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(name: 'recipient', length: 180)]
        public readonly string $to,
        #[ORM\Column(length: 200)]
        public readonly string $subject,
        #[ORM\Column(type: Types::TEXT)]
        public readonly string $text,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
