<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\AuditLine;
use HandGarden\Core\Actor\ActorKind;

/** A line of the trail as a page shows it. */
final readonly class TrailLine
{
    private const READ = 'read ';
    private const REFUSED = 'refused: ';

    /**
     * @param string  $what  what was done, in the words it was written with, or the name of a page
     * @param ?string $page  the page that was read or refused, by the code of its words; null: something was done
     * @param ?string $about the person it was done to
     */
    private function __construct(
        public \DateTimeImmutable $at,
        public ActorKind $kind,
        public string $actorId,
        public string $what,
        public ?string $page,
        public bool $isRefused,
        public ?string $clientId,
        public ?string $about,
    ) {
    }

    public static function from(AuditLine $line): self
    {
        $isRead = str_starts_with($line->action, self::READ);
        $isRefused = str_starts_with($line->action, self::REFUSED);
        $page = substr($line->action, \strlen($isRead ? self::READ : self::REFUSED));
        $isPage = ($isRead || $isRefused) && 1 === preg_match('/^[a-z_]+$/D', $page);

        return new self(
            $line->at,
            $line->actorKind,
            $line->actorId,
            $line->action,
            page: $isPage ? $page : null,
            isRefused: $isRefused,
            clientId: $line->clientId,
            about: '' === $line->subjectId ? null : $line->subjectId,
        );
    }
}
