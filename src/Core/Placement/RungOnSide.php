<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;

/** One exercise on one hand: what is placed, met and approved. */
final readonly class RungOnSide
{
    private const GLUE = '|';

    public function __construct(
        public string $rungId,
        public Side $side,
    ) {
    }

    /** Null when the text is no rung on a side. */
    public static function fromText(string $text): ?self
    {
        $parts = explode(self::GLUE, $text);
        $side = 2 === \count($parts) ? Side::tryFrom($parts[1]) : null;

        return null === $side || '' === $parts[0] ? null : new self($parts[0], $side);
    }

    /** @return list<self> the exercise on each hand that is in it */
    public static function forHands(string $rungId, Hands $hands): array
    {
        $found = [];
        foreach (Side::cases() as $side) {
            if ($hands->covers($side)) {
                $found[] = new self($rungId, $side);
            }
        }

        return $found;
    }

    /**
     * @param list<Side> $among sides that matter
     *
     * @return list<self> those of an item's hands that are among them
     */
    public static function ofThese(string $rungId, Hands $hands, array $among): array
    {
        return array_values(array_filter(
            self::forHands($rungId, $hands),
            static fn (self $one): bool => \in_array($one->side, $among, true),
        ));
    }

    public function text(): string
    {
        return $this->rungId.self::GLUE.$this->side->value;
    }
}
