<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A figure of a clinic was set, or went back to its default. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'setting_change')]
#[ORM\Index(name: 'setting_change_of', columns: ['clinic_id', 'key', 'at'])]
class SettingChange
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 60)]
        public readonly string $key,
        /** Null: the default. */
        #[ORM\Column(nullable: true)]
        public readonly ?float $value,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
