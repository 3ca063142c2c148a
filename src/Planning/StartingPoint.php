<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Routine\Shape;
use Symfony\Component\Uid\Uuid;

/** A shape that a clinic begins routines from, for clients of a condition or for all. It holds nothing of a client. */
#[ORM\Entity]
#[ORM\Table(name: 'starting_point')]
#[ORM\Index(name: 'starting_point_by_clinic', columns: ['clinic_id', 'name'])]
class StartingPoint
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** @param array<string, mixed> $shape see ShapeFormat */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 80)]
        public readonly string $name,
        /** Null: for everybody. */
        #[ORM\Column(name: 'of_condition', length: 40, nullable: true, enumType: Condition::class)]
        public readonly ?Condition $condition,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        private readonly array $shape,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function shape(): Shape
    {
        return ShapeFormat::read($this->shape);
    }
}
