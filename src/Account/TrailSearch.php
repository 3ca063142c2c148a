<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Core\Data\Dates;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Uid\Uuid;

/** What a lead looks for in the trail. */
final readonly class TrailSearch
{
    /**
     * @param ?string            $staffId  who did it, or to whose account it was done
     * @param ?string            $clientId of whom
     * @param string             $words    part of what was done
     * @param bool               $isReads  also what was only read
     * @param ?\DateTimeImmutable $from     first day
     * @param ?\DateTimeImmutable $until    last day
     */
    public function __construct(
        public ?string $staffId = null,
        public ?string $clientId = null,
        public string $words = '',
        public bool $isReads = false,
        public ?\DateTimeImmutable $from = null,
        public ?\DateTimeImmutable $until = null,
    ) {
    }

    public static function from(Request $request): self
    {
        $query = $request->query;

        return new self(
            self::id($query->getString('staff')),
            self::id($query->getString('client')),
            mb_substr(trim($query->getString('words')), 0, 60),
            '1' === $query->getString('reads'),
            from: Dates::day($query->getString('from')),
            until: Dates::day($query->getString('until')),
        );
    }

    /** @return array<string, string> as an address carries it */
    public function toQuery(): array
    {
        return array_filter([
            'staff' => $this->staffId ?? '',
            'client' => $this->clientId ?? '',
            'words' => $this->words,
            'reads' => $this->isReads ? '1' : '',
            'from' => $this->from?->format('Y-m-d') ?? '',
            'until' => $this->until?->format('Y-m-d') ?? '',
        ], static fn (string $value): bool => '' !== $value);
    }

    private static function id(string $typed): ?string
    {
        return Uuid::isValid($typed) ? $typed : null;
    }
}
