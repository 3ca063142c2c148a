<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/**
 * What one person has typed for one client and not kept yet. It lies on the server, so that a closed tab loses
 * nothing.
 */
#[ORM\Entity]
#[ORM\Table(name: 'measure_draft')]
#[ORM\UniqueConstraint(name: 'measure_draft_of', columns: ['client_id', 'staff_id'])]
class MeasureDraft
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    /** @var array<string, array<string, string>> typed values by part of the form and field name */
    #[ORM\Column(type: Types::JSON)]
    public array $typed = [];

    #[ORM\Column(type: Types::TEXT)]
    public string $note = '';

    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $staffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
