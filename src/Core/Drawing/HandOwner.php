<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Whose a second hand is: told by tint and sleeve, also without colour. */
enum HandOwner: string
{
    /** The client's other hand that helps: skin tint, bare forearm. */
    case Own = 'own';
    /** The client's other hand that trains too: the tint of the trained hand, a shade darker. */
    case Both = 'both';
    /** A helper, companion or therapist: with a sleeve. */
    case Helper = 'helper';

    public function hasSleeve(): bool
    {
        return self::Helper === $this;
    }

    public function body(): string
    {
        return self::Both === $this ? 'both' : 'helper';
    }
}
