<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Client\TellsOfClient;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Wearing\Look;
use HandGarden\Core\Wearing\Mark;
use HandGarden\Core\Wearing\Told;
use HandGarden\Core\Wearing\WearDay;
use HandGarden\Core\Wearing\WearEnd;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Core\Wearing\Worn;

/** Something that was worn once: when, by whom it was put on and taken off, and how the hand looked. */
#[ORM\Entity]
#[ORM\Table(name: 'wear')]
#[ORM\Index(name: 'wear_by_client', columns: ['client_id', 'day'])]
class Wear implements TellsOfClient
{
    public const EARLY_LETTERS = 120;
    private const MINUTE = 60;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $offAt = null;

    /** @var ?array<string, string> answers when it came off, with the mark */
    #[ORM\Column(type: Types::JSON, nullable: true)]
    private ?array $after = null;

    /** @var array<string, string> answers when it was looked at once more */
    #[ORM\Column(type: Types::JSON)]
    private array $again = [];

    /** Why it came off before its time. */
    #[ORM\Column(length: self::EARLY_LETTERS)]
    public string $early = '';

    /**
     * @param string                $id     that the device gave it
     * @param array<string, string> $before answers before it was put on
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $id,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $planId,
        #[ORM\Column(length: 8, enumType: Worn::class)]
        public readonly Worn $worn,
        #[ORM\Column(length: 5, enumType: Side::class)]
        public readonly Side $side,
        #[ORM\Column(type: Types::DATE_IMMUTABLE)]
        public readonly \DateTimeImmutable $day,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $onAt,
        #[ORM\Column(type: Types::JSON)]
        private readonly array $before,
        #[ORM\Column(length: 10, enumType: ActorKind::class)]
        public readonly ActorKind $person,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $personId,
        #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
        public readonly \DateTimeImmutable $receivedAt,
    ) {
    }

    public function before(): Look
    {
        return self::look($this->before);
    }

    /** Not put on: the hand was not clear. */
    public function wasLeftOff(): bool
    {
        return !$this->before()->isClear();
    }

    /** What was told first stays; what comes later is added. */
    public function cameOff(\DateTimeImmutable $at, Look $look, Mark $mark, string $early): void
    {
        if (null === $this->offAt) {
            $this->offAt = $at;
            $this->early = $early;
            $this->after = self::answers($look) + ['mark' => $mark->value];
        }
    }

    public function lookedAgain(?Told $gone, ?Told $back): void
    {
        $this->again += array_filter([
            'gone' => $gone?->value,
            'back' => $back?->value,
        ], static fn (?string $v): bool => null !== $v);
    }

    /** Null: it is on, or was never put on. */
    public function end(): ?WearEnd
    {
        return null === $this->after ? null : new WearEnd(
            self::look($this->after),
            Mark::from($this->after['mark'] ?? Mark::None->value),
            gone: Told::tryFrom($this->again['gone'] ?? ''),
            back: Told::tryFrom($this->again['back'] ?? ''),
        );
    }

    public function verdict(): ?WearVerdict
    {
        return $this->end()?->verdict();
    }

    public function isOn(): bool
    {
        return null === $this->offAt && !$this->wasLeftOff();
    }

    public function minutes(): int
    {
        return null === $this->offAt
            ? 0
            : intdiv(max(0, $this->offAt->getTimestamp() - $this->onAt->getTimestamp()), self::MINUTE);
    }

    public function asDay(): ?WearDay
    {
        $verdict = $this->verdict();

        return null === $verdict ? null : new WearDay($this->day, $this->minutes(), $verdict);
    }

    public static function readLook(Node $node): Look
    {
        return new Look(
            $node->get('skin')->enum(Told::class),
            $node->get('comfort')->enum(Told::class),
            $node->get('colour')->enum(Told::class),
            $node->get('warmth')->enum(Told::class),
        );
    }

    /** @return array<string, string> */
    public static function answers(Look $look): array
    {
        return [
            'skin' => $look->skin->value,
            'comfort' => $look->comfort->value,
            'colour' => $look->colour->value,
            'warmth' => $look->warmth->value,
        ];
    }

    public function ofClient(): string
    {
        return $this->clientId;
    }

    /** @param array<string, string> $answers */
    private static function look(array $answers): Look
    {
        $of = static fn (string $key): Told => Told::tryFrom($answers[$key] ?? '') ?? Told::NotSure;

        return new Look($of('skin'), $of('comfort'), $of('colour'), $of('warmth'));
    }
}
