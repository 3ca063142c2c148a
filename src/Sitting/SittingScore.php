<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use HandGarden\Core\Data\Node;

/** What a sitting plays, as it was written down when it began: it never changes, whatever the catalogue becomes. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'sitting_score')]
class SittingScore
{
    /** @param resource|string $body compressed JSON, see ScoreSheet */
    private function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $sittingId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clinicId,
        #[ORM\Column(type: Types::GUID)]
        public readonly string $clientId,
        #[ORM\Column(length: 64)]
        public readonly string $hash,
        #[ORM\Column(type: Types::SMALLINT)]
        public readonly int $version,
        #[ORM\Column(type: Types::BLOB)]
        private $body,
    ) {
    }

    /** @param array<string, mixed> $sheet */
    public static function of(Sitting $sitting, array $sheet): self
    {
        $json = json_encode(
            $sheet,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );

        return new self(
            $sitting->id,
            $sitting->clinicId,
            $sitting->clientId,
            hash('sha256', $json),
            version: ScoreSheet::VERSION,
            body: (string) gzencode($json),
        );
    }

    /** @return list<Node> what was planned, item by item */
    public function items(): array
    {
        return Node::fromJson($this->json())->get('items')->items();
    }

    public function json(): string
    {
        $body = \is_resource($this->body) ? stream_get_contents($this->body) : $this->body;

        return (string) gzdecode((string) $body);
    }
}
