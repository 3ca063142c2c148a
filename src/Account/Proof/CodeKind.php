<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/** What a one-time code opens. */
enum CodeKind: string
{
    /** To choose the first password, by a link. */
    case Invite = 'invite';
    /** To choose a new password, read out by a colleague. */
    case Reset = 'reset';

    public function lasts(): string
    {
        return match ($this) {
            self::Invite => '+7 days',
            self::Reset => '+1 hour',
        };
    }

    /**
     * Of a link, that nobody types, or of a code that is read out.
     *
     * @return positive-int
     */
    public function bytes(): int
    {
        return match ($this) {
            self::Invite => 30,
            self::Reset => 10,
        };
    }
}
