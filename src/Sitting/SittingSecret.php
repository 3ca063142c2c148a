<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;

/** Under which the events of one sitting come, in the name of who opened it; only its hash is kept. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'sitting_secret')]
class SittingSecret
{
    private const BYTES = 32;

    public function __construct(
        #[ORM\Id]
        #[ORM\Column(length: 64)]
        public readonly string $hash,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $sittingId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $actorKind,
        #[ORM\Column(length: 36)]
        public readonly string $actorId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $at,
    ) {
    }

    /** @return array{string, self} the secret itself, which is shown once, and what is kept of it */
    public static function of(Sitting $sitting, Actor $actor, \DateTimeImmutable $now): array
    {
        return self::ofUnbegun($sitting->id, $sitting->clinicId, $sitting->clientId, $actor, now: $now);
    }

    /**
     * The same for a sitting that may be begun.
     *
     * @return array{string, self}
     */
    public static function ofUnbegun(
        string $sittingId,
        string $clinicId,
        string $clientId,
        Actor $actor,
        \DateTimeImmutable $now,
    ): array {
        $secret = bin2hex(random_bytes(self::BYTES));

        return [$secret, new self(
            self::hash($secret),
            $sittingId,
            $clinicId,
            $clientId,
            actorKind: $actor->kind,
            actorId: $actor->id,
            at: $now,
        )];
    }

    public static function hash(#[\SensitiveParameter] string $secret): string
    {
        return hash('sha256', $secret);
    }
}
