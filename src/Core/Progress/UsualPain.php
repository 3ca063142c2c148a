<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;

/** Pain that a therapist found to be there anyway, 0 to 6, by part and side. What is worse than that still counts. */
final readonly class UsualPain
{
    /** Days for which what was found holds. */
    public const DAYS = 28;
    public const MOST = 6;

    /** @param array<string, int> $levels by self::key() */
    public function __construct(
        private array $levels = [],
    ) {
    }

    public static function key(ArmPart $part, Side $side): string
    {
        return $part->value.'|'.$side->value;
    }

    public function at(ArmPart $part, Side $side): int
    {
        return min(self::MOST, $this->levels[self::key($part, $side)] ?? 0);
    }

    /**
     * The highest of what an exercise works.
     *
     * @param list<ArmPart> $parts
     */
    public function of(array $parts, Hands $hands): int
    {
        $most = 0;
        foreach ($parts as $part) {
            foreach ($hands->each() as $side) {
                $most = max($most, $this->at($part, $side));
            }
        }

        return $most;
    }
}
