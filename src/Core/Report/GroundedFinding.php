<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\Finding;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;

/** What the measures explain of a hand, with those that carry it: without one of them it would read otherwise. */
final readonly class GroundedFinding
{
    /** @param non-empty-list<Fact> $facts */
    private function __construct(
        public Finding $finding,
        public array $facts,
    ) {
    }

    /** @return list<self> */
    public static function all(Readings $readings, Side $side, Findings $findings): array
    {
        $found = $findings->found($readings, $side);
        $facts = array_fill(0, \count($found), []);
        $current = $readings->current();
        foreach ([] === $found ? [] : $current as $at => $left) {
            $others = $current;
            unset($others[$at]);
            $without = array_map(serialize(...), $findings->found(new Readings($others), $side));
            foreach ($found as $nth => $finding) {
                if (!\in_array(serialize($finding), $without, true)) {
                    $facts[$nth][] = self::factOf($left);
                }
            }
        }
        $grounded = [];
        foreach ($found as $nth => $finding) {
            if ([] !== $facts[$nth]) {
                $grounded[] = new self($finding, $facts[$nth]);
            }
        }

        return $grounded;
    }

    private static function factOf(Reading $reading): Fact
    {
        return Fact::ofMeasure(implode('|', [
            $reading->code,
            $reading->argument ?? '',
            $reading->mode->value ?? '',
            $reading->side->value ?? '',
        ]), $reading->on);
    }
}
