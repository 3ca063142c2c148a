<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Words\Phrase;

/** Work is done with a part of the hand that was warmed or lengthened before. */
final readonly class PreparedPart implements SittingRule
{
    use NeedsComeFirst;

    private const HAND = [Segment::Fingers, Segment::Thumb];

    /** What any preparation of the arm is good for. */
    private const WHOLE_ARM = [Segment::None, Segment::Shoulder, Segment::Forearm];

    public function needs(Item $item): array
    {
        if (!$item->rung->load->class->needsPreparation()) {
            return [];
        }
        $segment = $item->rung->load->segment;

        return array_map(static fn (Side $side): Need => new Need(
            'prepared '.$segment->value.' '.$side->value,
            new Phrase('sitting_rule.need.prepare'),
            static fn (Item $earlier): bool => self::prepares($earlier, $segment, $side),
        ), $item->hands->each());
    }

    private static function prepares(Item $item, Segment $segment, Side $side): bool
    {
        if (EffortClass::Prep !== $item->rung->load->class || !$item->covers($side)) {
            return false;
        }
        $done = $item->rung->load->segment;

        return $done === $segment
            || \in_array($segment, self::WHOLE_ARM, true)
            || (\in_array($done, self::HAND, true) && \in_array($segment, self::HAND, true));
    }
}
