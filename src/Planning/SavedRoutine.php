<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\Client;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\Alternative;
use HandGarden\Core\Routine\LeftOut;
use HandGarden\Core\Routine\Routine;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use Symfony\Component\Uid\Uuid;

/** The routine of a client as it stands. A new suggestion makes a new one; edits raise the version. */
#[ORM\Entity]
#[ORM\Table(name: 'routine')]
#[ORM\Index(name: 'routine_by_client', columns: ['client_id', 'kind', 'made_at'])]
class SavedRoutine implements TellsOfClient
{
    #[ORM\Id]
    #[ORM\Column(type: Types::GUID)]
    public readonly string $id;

    #[ORM\Version]
    #[ORM\Column(type: Types::INTEGER)]
    public int $version = 1;

    /**
     * @param list<array<string, mixed>> $items   see RoutineFormat
     * @param list<array{what: mixed, why: mixed}>         $leftOut see LeftOutFormat
     * @param list<array{with: mixed, adds: list<string>}> $withMore what five more minutes, a material or a
     *     helper would add
     * @param int          $value     of the objective when it was suggested, in points
     * @param int          $bound     what no routine under the same rules could exceed
     * @param list<string> $forbidden item keys that the therapist keeps out
     */
    public function __construct(
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::JSON)]
        public array $items,
        #[ORM\Column(type: Types::JSON)]
        public array $leftOut,
        #[ORM\Column(type: Types::JSON)]
        public array $withMore,
        #[ORM\Column(length: 10, enumType: RoutineKind::class)]
        public readonly RoutineKind $kind,
        #[ORM\Column]
        public readonly int $value,
        #[ORM\Column]
        public readonly int $bound,
        #[ORM\Column(type: Types::JSON)]
        public array $forbidden,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $byStaffId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public \DateTimeImmutable $madeAt, // not readonly: it is read anew under a lock
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /** @param list<Alternative> $else */
    public static function suggested(
        Routine $routine,
        Client $client,
        RoutineKind $kind,
        string $byStaffId,
        \DateTimeImmutable $at,
        array $else = [],
    ): self {
        return new self(
            $client->clinicId,
            $client->id,
            RoutineFormat::write($routine->sequence->items),
            array_map(
                static fn (LeftOut $l): array => [
                    'what' => PhraseFormat::write($l->label),
                    'why' => PhraseFormat::write($l->reason),
                ],
                $routine->leftOut,
            ),
            withMore: array_map(
                static fn (Alternative $a): array => [
                    'with' => PhraseFormat::write($a->with),
                    'adds' => $a->adds,
                ],
                $else,
            ),
            kind: $kind,
            value: $routine->value,
            bound: $routine->bound,
            forbidden: [],
            byStaffId: $byStaffId,
            madeAt: $at,
        );
    }

    public static function byHand(
        Client $client,
        RoutineKind $kind,
        string $byStaffId,
        \DateTimeImmutable $at,
    ): self {
        return new self(
            $client->clinicId,
            $client->id,
            [],
            [],
            withMore: [],
            kind: $kind,
            value: 0,
            bound: 0,
            forbidden: [],
            byStaffId: $byStaffId,
            madeAt: $at,
        );
    }

    /** @return list<LeftOut> */
    public function reasonsLeftOut(): array
    {
        return array_map(static fn (array $out): LeftOut => new LeftOut(
            PhraseFormat::readAny(Node::root($out['what'])),
            PhraseFormat::read(Node::root($out['why'])),
        ), $this->leftOut);
    }

    /** @return list<array{with: Phrase, adds: list<string>}> */
    public function additions(): array
    {
        return array_map(static fn (array $more): array => [
            'with' => PhraseFormat::read(Node::root($more['with'])),
            'adds' => $more['adds'],
        ], $this->withMore);
    }

    public function isProvedBest(): bool
    {
        return $this->value === $this->bound;
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }
}
