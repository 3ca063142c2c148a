<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Catalogue\SittingRole;

/** The hard rules of a sitting. The builder keeps them; what a therapist makes by hand is held against them. */
final readonly class SittingRules
{
    private const HEAVY_FROM = 3;
    private const LENGTHENS_FINGERS = 'finger flexors';
    private const LENGTHENS_WRIST = 'wrist flexors';

    /** @param array<string, float> $fingerToneBySide rank per side; a side that is not known is missing and counts as tight */
    public function __construct(private Limits $limits, private array $fingerToneBySide, private bool $tightHandOpeningFits)
    {
    }

    /**
     * @param list<Item> $items in order
     *
     * @return list<BrokenRule> empty: all kept
     */
    public function broken(array $items): array
    {
        $sequence = new Sequence($items);
        $broken = [];
        $over = $sequence->seconds() - $this->limits->seconds();
        if ($over > 0) {
            $broken[] = new BrokenRule('over-time', \sprintf('%d:%02d over the %d minutes of this client', intdiv($over, 60), $over % 60, $this->limits->minutes));
        }
        if ($sequence->effort() > $this->limits->effortBudget() + 1e-9) {
            $broken[] = new BrokenRule('over-effort', \sprintf('Effort %.0f is more than the budget of %.0f', $sequence->effort(), $this->limits->effortBudget()));
        }
        if ($sequence->homeItems() > $this->limits->homeItems) {
            $broken[] = new BrokenRule('too-many-items', \sprintf('%d items; at most %d at home', $sequence->homeItems(), $this->limits->homeItems));
        }
        if ([] === array_filter($items, self::isWarmUp(...))) {
            $broken[] = new BrokenRule('no-warm-up', 'No warm-up or calming item at the start');
        }
        if ([] === array_filter($items, self::isCoolDown(...))) {
            $broken[] = new BrokenRule('no-cool-down', 'Nothing keeps the hand open as it cools at the end');
        }
        foreach ($items as $i => $item) {
            $before = \array_slice($items, 0, $i);
            foreach ($this->missingBefore($before, $item) as $text) {
                $broken[] = new BrokenRule('needs-before', $item->rung->name.': '.$text, $i);
            }
            if ($this->needsPauseBefore($before, $item)) {
                $broken[] = new BrokenRule('too-heavy-in-a-row', $item->rung->name.': third heavy item in a row for the same muscles; a pause belongs before it', $i);
            }
        }

        return $broken;
    }

    /**
     * What has to be done earlier in the sitting and is not.
     *
     * @param list<Item> $before
     *
     * @return list<string>
     */
    public function missingBefore(array $before, Item $item): array
    {
        $missing = [];
        foreach ($item->rung->class->needsPreparation() ? self::sidesOf($item) : [] as $side) {
            if (!self::prepared($before, $item->rung->segment, $side)) {
                $missing['prepared'] = 'warm or lengthen this part first';
            }
        }
        foreach (self::sidesOf($item) as $side) {
            $text = match ($item->rung->sittingNeed) {
                null => null,
                SittingNeed::Length => self::lengthened($before, $side, self::LENGTHENS_WRIST) ? null : 'stretch wrist and fingers first',
                SittingNeed::FingerLength => self::lengthened($before, $side, self::LENGTHENS_FINGERS) ? null : 'stretch the fingers first',
                SittingNeed::WedgeStretch => self::did($before, 'web-wedge-stretch', $side) ? null : 'the ball between the fingers first',
                SittingNeed::WristEasedBack => self::did($before, 'wrist-ease-back', $side) ? null : 'ease the wrist back first',
                SittingNeed::StretchWhenTight => $this->stretchedIfTight($before, $side) ? null : 'there is finger tone: open the tight hand first',
            };
            if (null !== $text) {
                $missing[$text] = $text;
            }
        }
        if ($this->limits->lastStrengthOn instanceof \DateTimeImmutable && EffortClass::Strength === $item->rung->class) {
            $missing['strength'] = 'strength work was done on '.$this->limits->lastStrengthOn->format('j M').'; never two days running';
        }

        return array_values($missing);
    }

    /**
     * No more than two items in a row of intensity 3 or more load the same group; a pause between clears it.
     *
     * @param list<Item> $before
     */
    public function needsPauseBefore(array $before, Item $item): bool
    {
        $two = \array_slice($before, -2);
        if (\count($two) < 2 || $item->rung->intensity < self::HEAVY_FROM) {
            return false;
        }
        $shared = $item->loadedGroups();
        foreach ($two as $earlier) {
            $shared = $earlier->isPause || $earlier->rung->intensity < self::HEAVY_FROM ? [] : array_intersect($shared, $earlier->loadedGroups());
        }

        return [] !== $shared;
    }

    public static function isWarmUp(Item $item): bool
    {
        return !$item->isPause && SittingRole::WarmUp === $item->rung->role;
    }

    public static function isCoolDown(Item $item): bool
    {
        return SittingRole::CoolDown === $item->rung->role;
    }

    /** @param list<Item> $before */
    private static function prepared(array $before, Segment $segment, Side $side): bool
    {
        foreach ($before as $item) {
            if (EffortClass::Prep !== $item->rung->class || !$item->covers($side)) {
                continue;
            }
            $done = $item->rung->segment;
            $hand = [Segment::Fingers, Segment::Thumb];
            if ($done === $segment || \in_array($segment, [Segment::None, Segment::Shoulder, Segment::Forearm], true) || (\in_array($done, $hand, true) && \in_array($segment, $hand, true))) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Item> $before */
    private static function lengthened(array $before, Side $side, string $group): bool
    {
        foreach ($before as $item) {
            if ($item->covers($side) && \in_array($group, $item->rung->lengthens, true)) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Item> $before */
    private static function did(array $before, string $rungId, Side $side): bool
    {
        foreach ($before as $item) {
            if ($item->rung->id === $rungId && $item->covers($side)) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Item> $before */
    private function stretchedIfTight(array $before, Side $side): bool
    {
        if (($this->fingerToneBySide[$side->value] ?? 1.0) < 1.0) {
            return true;
        }
        if (!$this->tightHandOpeningFits) {
            return self::lengthened($before, $side, self::LENGTHENS_FINGERS);
        }

        return self::did($before, 'thumb-lift-away-stretch', $side) || self::did($before, 'finger-space-opener', $side);
    }

    /** @return non-empty-list<Side> */
    private static function sidesOf(Item $item): array
    {
        return match ($item->hands) {
            Hands::Left => [Side::Left],
            Hands::Right => [Side::Right],
            Hands::Together, Hands::Each => [Side::Left, Side::Right],
        };
    }
}
