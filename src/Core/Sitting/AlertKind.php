<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What somebody of the clinic has to look at and answer; the most pressing first. */
enum AlertKind: string
{
    /** Signs of a stroke or a fit, chest pain, fainted. */
    case Emergency = 'emergency';
    /** Dizzy, swollen, a fall, a cut, ill and stiff. */
    case Stop = 'stop';
    /** Somebody is upset, or a helper is hurt. */
    case Human = 'human';
    /** Severe pain, or tingling that is new or worse. */
    case Part = 'part';
    /** A mark, a blister, a colour, something stuck. */
    case Wear = 'wear';
    case Cramp = 'cramp';

    public function seenWithin(): Within
    {
        return match ($this) {
            self::Emergency => Within::hours(1),
            self::Stop, self::Human => Within::hours(4),
            self::Part, self::Wear => Within::days(1),
            self::Cramp => Within::days(2),
        };
    }

    public function answeredWithin(): Within
    {
        return match ($this) {
            self::Emergency => Within::closingOf(0),
            self::Stop, self::Human, self::Part, self::Wear => Within::closingOf(1),
            self::Cramp => Within::closingOf(3),
        };
    }

    /** The higher, the sooner. */
    public function weight(): int
    {
        return \count(self::cases()) - (int) array_search(
            $this,
            self::cases(),
            true,
        );
    }

    /** Nothing of it is reopened before the screening was asked anew. */
    public function wantsScreening(): bool
    {
        return self::Emergency === $this;
    }
}
