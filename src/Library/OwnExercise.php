<?php

declare(strict_types=1);

namespace HandGarden\Library;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/**
 * One version of an exercise of the clinic's own, kept as it is written in a ladder file. A change makes a new
 * version; a
 * routine goes on with the one it was built with.
 */
#[ORM\Entity]
#[ORM\Table(name: 'own_exercise')]
#[ORM\UniqueConstraint(name: 'own_exercise_version', columns: ['clinic_id', 'key', 'version'])]
#[ORM\Index(name: 'own_exercise_newest', columns: ['clinic_id', 'is_newest', 'archived'])]
class OwnExercise
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Column]
    public bool $isNewest = true;

    #[ORM\Column]
    public bool $archived = false;

    /**
     * @param array<string, mixed> $written as in a ladder file
     * @param array<string, mixed> $pose    poses of its own: start and end, as in the pose file; empty: those of
     *     the pose file
     * @param array<string, mixed> $facets  what the filters ask for
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(length: 60)]
        public readonly string $key,
        #[ORM\Column]
        public readonly int $version,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $written,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $pose,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $facets,
        #[ORM\Column(type: Types::TEXT)]
        public readonly string $text,
        #[ORM\Column]
        public readonly int $seconds,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** The id by which routines and logs know this version. */
    public function rungId(): string
    {
        return 'own-'.$this->key.'-v'.$this->version;
    }

    /** @return array{string, int}|null key and version; null when it is no id of an own exercise */
    public static function keyAndVersion(string $rungId): ?array
    {
        return 1 === preg_match(
            '/^own-([a-z0-9-]+)-v(\d{1,6})$/',
            $rungId,
            $m,
        ) ? [$m[1], (int) $m[2]] : null;
    }
}
