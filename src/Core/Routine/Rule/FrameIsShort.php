<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Words\Phrase;

/** What begins and ends a sitting leaves its time to the work; one way to begin and one to end are always allowed. */
final readonly class FrameIsShort implements SittingRule
{
    use NeedsNothing;

    public function __construct(
        private Limits $limits,
    ) {
    }

    public function broken(array $items): array
    {
        $seconds = self::seconds($items);

        return $seconds > $this->limits->frameSeconds() && \count(self::frame($items)) > 2
            ? [
                new BrokenRule(
                    'long-frame',
                    new Phrase(
                        'sitting_rule.long_frame',
                        ['seconds' => $seconds, 'most' => $this->limits->frameSeconds()],
                    ),
                ),
            ]
            : [];
    }

    public function leftOut(array $chosen, array $missing): ?Phrase
    {
        return [] !== self::frame($missing)
            && self::seconds([...$chosen, ...$missing]) > $this->limits->frameSeconds()
            ? new Phrase('left_out.frame', ['most' => $this->limits->frameSeconds()])
            : null;
    }

    /** @param list<Item> $items */
    private static function seconds(array $items): int
    {
        return array_sum(array_map(static fn (Item $i): int => $i->seconds(), self::frame($items)));
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private static function frame(array $items): array
    {
        return array_values(array_filter($items, static fn (Item $i): bool => $i->isFrame()));
    }
}
