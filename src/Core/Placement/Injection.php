<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Rung;

/** A tone injection: its day, the sides and the muscles it went into. */
final readonly class Injection
{
    /** Days for which the muscles that were injected are not strengthened. */
    public const WEAK_DAYS = 84;
    /** What is meant where nobody wrote the muscles down. */
    public const USUAL_GROUPS = ['finger flexors', 'thumb flexors', 'wrist flexors'];

    /**
     * @param non-empty-list<Side>   $sides
     * @param non-empty-list<string> $groups as exercises name the muscles that work in them
     */
    public function __construct(
        public \DateTimeImmutable $on,
        public array $sides,
        public array $groups = self::USUAL_GROUPS,
    ) {
    }

    /** Days since; below 0: it lies ahead. */
    public function daysAt(\DateTimeImmutable $day): int
    {
        return (int) $this->on->diff($day)->format('%r%a');
    }

    /** It strengthens a muscle that was made weak on purpose. */
    public function speaksAgainst(Rung $rung, Side $side, \DateTimeImmutable $today): bool
    {
        $days = $this->daysAt($today);
        if (
            EffortClass::Strength !== $rung->load->class
            || !\in_array($side, $this->sides, true)
            || $days < 0
            || $days > self::WEAK_DAYS
        ) {
            return false;
        }
        foreach ($rung->load->muscles as $load) {
            if ($load->share > 0.0 && \in_array($load->group, $this->groups, true)) {
                return true;
            }
        }

        return false;
    }
}
