<?php

declare(strict_types=1);

namespace HandGarden\Library;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** The pictures of an exercise as they were drawn then, looked at by somebody of the clinic. */
#[ORM\Entity]
#[ORM\Table(name: 'picture_review')]
#[ORM\Index(name: 'picture_review_of', columns: ['clinic_id', 'rung_id', 'at'])]
class PictureReview
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @param string $version name of all its stills together: drawn anew, it is another */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 80)]
        public readonly string $rungId,
        #[ORM\Column(length: 32)]
        public readonly string $version,
        #[ORM\Column(length: 10, enumType: PictureVerdict::class)]
        public readonly PictureVerdict $verdict,
        #[ORM\Column(length: 300)]
        public readonly string $note,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
