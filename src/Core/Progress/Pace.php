<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Routine\ItemKey;

/** Not too much in a week: so many steps up of an item, of a part and in all; what comes over waits. */
final class Pace
{
    private const DAYS = 7;
    /** A longer stretch asks for days before the next. */
    private const STRETCH_DAYS = 4;

    /** @var array<string, int> steps by item, and by part and side */
    private array $taken = [];

    private int $inAll = 0;

    /** @var array<string, \DateTimeImmutable> newest step by item */
    private array $newest = [];

    /** @param list<StepTaken> $steps */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly ProgressSettings $settings,
        array $steps,
        private readonly \DateTimeImmutable $today,
    ) {
        foreach ($steps as $step) {
            $item = ItemKey::fromText($step->itemKey);
            if (
                null === $item
                || !$catalogue->hasRung($item->rungId)
                || $step->day < $today->modify('-'.(self::DAYS - 1).' days')
            ) {
                continue;
            }
            $this->newest[$step->itemKey] = max(
                $step->day,
                $this->newest[$step->itemKey] ?? $step->day,
            );
            $this->count($item);
        }
    }

    /** Whether one more is not too much; if so it counts from now on. */
    public function allows(Prescribed $item, Proposal $proposal): bool
    {
        $key = new ItemKey($item->rung->id, $item->hands);
        $isFull = $this->inAll >= $this->settings->stepsInAll
            || ($this->taken[$key->text()] ?? 0) >= $this->settings->stepsOfAnItem
            || $this->isSoonForAStretch($key, $proposal);
        foreach ($this->parts($key) as $part) {
            $isFull = $isFull || ($this->taken[$part] ?? 0) >= $this->settings->stepsOfAPart;
        }
        if ($isFull) {
            return false;
        }
        $this->count($key);

        return true;
    }

    private function isSoonForAStretch(ItemKey $key, Proposal $proposal): bool
    {
        $newest = $this->newest[$key->text()] ?? null;

        return null !== $newest
            && 'advance.'.ProgressKind::StretchHold->value === $proposal->ruleId
            && $newest > $this->today->modify('-'.self::STRETCH_DAYS.' days');
    }

    private function count(ItemKey $key): void
    {
        ++$this->inAll;
        foreach ([$key->text(), ...$this->parts($key)] as $of) {
            $this->taken[$of] = ($this->taken[$of] ?? 0) + 1;
        }
    }

    /** @return list<string> */
    private function parts(ItemKey $key): array
    {
        $parts = [];
        foreach (WorkedParts::of($this->catalogue->rung($key->rungId)) as $part) {
            foreach ($key->hands->each() as $side) {
                $parts[] = UsualPain::key($part, $side);
            }
        }

        return $parts;
    }
}
