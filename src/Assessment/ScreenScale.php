<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** How many screen points make a millimetre on one screen at one zoom, found by laying a bank card on it. */
#[ORM\Entity]
#[ORM\Table(name: 'screen_scale')]
#[ORM\Index(name: 'screen_scale_of', columns: ['clinic_id', 'screen', 'at'])]
class ScreenScale
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 120)]
        public readonly string $screen,
        #[ORM\Column]
        public readonly float $pixelsPerMm,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
