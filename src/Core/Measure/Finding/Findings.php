<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\ToneGroup;

/**
 * What limits a hand, as far as the measures tell. Each question is asked of its own measures; where these are
 * missing it
 * answers 'cannot tell yet' and names them.
 */
final readonly class Findings
{
    public function __construct(
        private Settings $settings = new Settings(
        ),
    ) {
    }

    /**
     * @param Readings $readings young enough to count
     *
     * @return list<Finding> found first, then what cannot be told, then what was looked for and is not there
     */
    public function for(Readings $readings, Side $side): array
    {
        $hand = new HandState($readings, $side);
        $other = new HandState($readings, $side->opposite());
        $opening = new OpeningFindings($this->settings, $hand);
        $all = [
            $opening->longFlexors(),
            $opening->extensorsUseTheWrist(),
            $opening->contracture(),
            $opening->weakness(),
            ...(new PartFindings($this->settings, $hand))->all(),
        ];
        foreach (ToneGroup::cases() as $group) {
            $all[] = (new ToneFindings($this->settings, $hand, $other))->for($group);
        }
        $all = array_values(array_filter($all, static fn (?Finding $f): bool => null !== $f));
        $rank = static fn (Finding $f): int => (int) array_search($f->state, State::cases(), true);
        usort(
            $all,
            static fn (Finding $a, Finding $b): int => (
                State::CannotTell === $a->state ? 1 : 2 * $rank($a)
            ) <=> (State::CannotTell === $b->state ? 1 : 2 * $rank($b)),
        );

        return $all;
    }

    /** @return list<Finding> only those that are there */
    public function found(Readings $readings, Side $side): array
    {
        return array_values(
            array_filter($this->for($readings, $side), static fn (Finding $f): bool => $f->isFound()),
        );
    }
}
