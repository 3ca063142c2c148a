<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

/** Three-valued logic: what was never asked, never measured or is too old is unknown, neither met nor absent. */
enum Truth: string
{
    case True = 'true';
    case False = 'false';
    case Unknown = 'unknown';

    public static function fromBool(bool $value): self
    {
        return $value ? self::True : self::False;
    }

    public function and(self $other): self
    {
        return match (true) {
            self::False === $this || self::False === $other => self::False,
            self::Unknown === $this || self::Unknown === $other => self::Unknown,
            default => self::True,
        };
    }

    public function or(self $other): self
    {
        return $this->not()->and($other->not())->not();
    }

    public function not(): self
    {
        return match ($this) {
            self::True => self::False,
            self::False => self::True,
            self::Unknown => self::Unknown,
        };
    }
}
