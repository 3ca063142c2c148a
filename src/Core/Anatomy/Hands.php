<?php

declare(strict_types=1);

namespace HandGarden\Core\Anatomy;

/** Which hand or hands an item of a routine is for. */
enum Hands: string
{
    case Left = 'left';
    case Right = 'right';
    /** Both at the same time: counts as one side. */
    case Together = 'together';
    /** One after the other. */
    case Each = 'each';

    public static function fromSide(Side $side): self
    {
        return self::from($side->value);
    }

    public function sides(): int
    {
        return self::Each === $this ? 2 : 1;
    }

    /** @return non-empty-list<Side> */
    public function each(): array
    {
        return match ($this) {
            self::Left => [Side::Left],
            self::Right => [Side::Right],
            self::Together, self::Each => [Side::Left, Side::Right],
        };
    }

    public function covers(Side $side): bool
    {
        return self::Together === $this || self::Each === $this || $this->value === $side->value;
    }

    /** The hand a picture shows first. */
    public function shown(Side $worse): Side
    {
        return self::Together === $this || self::Each === $this ? $worse : Side::from($this->value);
    }

    public function label(): string
    {
        return match ($this) {
            self::Left => 'Left hand',
            self::Right => 'Right hand',
            self::Together => 'Both hands together',
            self::Each => 'Each hand in turn',
        };
    }
}
