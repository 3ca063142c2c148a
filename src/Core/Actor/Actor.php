<?php

declare(strict_types=1);

namespace HandGarden\Core\Actor;

/** Somebody or something that did what is kept. */
final readonly class Actor
{
    /** @param string $id of the member of staff, the client, the helper or the device; empty for the program itself */
    public function __construct(
        public ActorKind $kind,
        public string $id,
    ) {
    }

    public static function staff(string $id): self
    {
        return new self(ActorKind::Staff, $id);
    }

    public static function system(): self
    {
        return new self(ActorKind::System, '');
    }
}
