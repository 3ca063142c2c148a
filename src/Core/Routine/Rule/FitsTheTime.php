<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Words\Phrase;

final readonly class FitsTheTime implements SittingRule
{
    use NeedsNothing;

    public function __construct(
        private Limits $limits,
    ) {
    }

    public function broken(array $items): array
    {
        $over = $this->secondsOver($items);

        return $over > 0
            ? [new BrokenRule('over-time', $this->words('sitting_rule.over_time', $over))]
            : [];
    }

    public function leftOut(array $chosen, array $missing): ?Phrase
    {
        $over = $this->secondsOver([...$chosen, ...$missing]);

        return $over > 0 ? $this->words('left_out.time', $over) : null;
    }

    /** @param list<Item> $items */
    private function secondsOver(array $items): int
    {
        return (new Sequence($items))->seconds() - $this->limits->seconds();
    }

    private function words(string $code, int $seconds): Phrase
    {
        return new Phrase($code, [
            'over' => new Phrase('clock', ['minutes' => intdiv($seconds, 60), 'seconds' => $seconds % 60]),
            'minutes' => $this->limits->minutes,
        ]);
    }
}
