<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Catalogue\SittingRole;

/** The hard rules of a sitting. The builder keeps them; what a therapist makes by hand is held against them. */
final readonly class SittingRules
{
    private const HEAVY_FROM = 3;
    private const LENGTHENS_FINGERS = 'finger flexors';
    private const LENGTHENS_WRIST = 'wrist flexors';

    /** Opening work beside gripping, in a hand that is tight or curls. */
    public const TIGHT_BALANCE = 1.5;

    /**
     * @param array<string, float> $fingerToneBySide rank per side; a side that is not known is missing and
     *     counts as tight
     * @param list<Side>           $tightSides       affected hands with finger tone of 2 or more, or that curl,
     *     or of which neither is known
     * @param array<string, true>  $gripping         ids of the rungs of gripping ladders
     * @param array<string, true>  $lettingGo        ids of the rungs of opening ladders
     */
    public function __construct(
        private Limits $limits,
        private array $fingerToneBySide,
        private bool $tightHandOpeningFits,
        private array $tightSides = [],
        private array $gripping = [],
        private array $lettingGo = [],
    ) {
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
            $broken[] = new BrokenRule(
                'over-time',
                \sprintf(
                    '%d:%02d over the %d minutes of this client',
                    intdiv($over, 60),
                    $over % 60,
                    $this->limits->minutes,
                ),
            );
        }
        if ($sequence->effort() > $this->limits->effortBudget() + 1e-9) {
            $broken[] = new BrokenRule(
                'over-effort',
                \sprintf(
                    'Effort %.0f is more than the budget of %.0f',
                    $sequence->effort(),
                    $this->limits->effortBudget(),
                ),
            );
        }
        if ($sequence->homeItems() > $this->limits->homeItems) {
            $broken[] = new BrokenRule(
                'too-many-items',
                \sprintf(
                    '%d items; at most %d at home',
                    $sequence->homeItems(),
                    $this->limits->homeItems,
                ),
            );
        }
        if ([] === array_filter($items, self::isWarmUp(...))) {
            $broken[] = new BrokenRule('no-warm-up', 'No warm-up or calming item at the start');
        }
        if ([] === array_filter($items, self::isCoolDown(...))) {
            $broken[] = new BrokenRule(
                'no-cool-down',
                'Nothing keeps the hand open as it cools at the end',
            );
        }
        foreach ($items as $i => $item) {
            $before = \array_slice($items, 0, $i);
            foreach ($this->missingBefore($before, $item) as $text) {
                $broken[] = new BrokenRule('needs-before', $item->rung->name.': '.$text, $i);
            }
            if ($this->needsPauseBefore($before, $item)) {
                $broken[] = new BrokenRule(
                    'too-heavy-in-a-row',
                    $item->rung->name
                        .': third heavy item in a row for the same muscles; a pause belongs before it',
                    $i,
                );
            }
        }

        return [...$broken, ...$this->releaseBroken($items)];
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
        foreach ($this->needsOf($item) as $need) {
            if (!$need->isMet($before)) {
                $missing[$need->text] = $need->text;
            }
        }

        return array_values($missing);
    }

    /** @return list<Need> what has to stand earlier in the sitting, for each hand that the item is for */
    public function needsOf(Item $item): array
    {
        $needs = [];
        foreach (self::sidesOf($item) as $side) {
            if ($item->rung->class->needsPreparation()) {
                $segment = $item->rung->segment;
                $needs[] = new Need(
                    'prepared '.$segment->value.' '.$side->value,
                    'warm or lengthen this part first',
                    static fn (Item $i): bool => self::prepares($i, $segment, $side),
                );
            }
            $need = match ($item->rung->sittingNeed) {
                null => null,
                SittingNeed::Length => self::lengthening(
                    self::LENGTHENS_WRIST,
                    $side,
                    'stretch wrist and fingers first',
                ),
                SittingNeed::FingerLength => self::lengthening(
                    self::LENGTHENS_FINGERS,
                    $side,
                    'stretch the fingers first',
                ),
                SittingNeed::WedgeStretch => self::doing(
                    ['web-wedge-stretch'],
                    $side,
                    'the ball between the fingers first',
                ),
                SittingNeed::WristEasedBack => self::doing(
                    ['wrist-ease-back'],
                    $side,
                    'ease the wrist back first',
                ),
                SittingNeed::StretchWhenTight => $this->stretchedIfTight($side),
            };
            if (null !== $need) {
                $needs[] = $need;
            }
        }
        if (
            $this->limits->lastStrengthOn instanceof \DateTimeImmutable
            && EffortClass::Strength === $item->rung->class
        ) {
            $needs[] = new Need(
                'a day between',
                'strength work was done on '
                    .$this->limits->lastStrengthOn->format('j M')
                    .'; never two days running',
                static fn (Item $i): bool => false,
            );
        }

        return $needs;
    }

    /**
     * No more than two items in a row of intensity 3 or more load the same group; a pause between clears it.
     *
     * @param list<Item> $before
     */
    public function needsPauseBefore(array $before, Item $item): bool
    {
        $two = \array_slice($before, -2);
        if (\count($two) < 2 || !self::isHeavy($item)) {
            return false;
        }
        $shared = $item->loadedGroups();
        foreach ($two as $earlier) {
            $shared = !self::isHeavy($earlier)
                ? []
                : array_intersect($shared, $earlier->loadedGroups());
        }

        return [] !== $shared;
    }

    public static function isHeavy(Item $item): bool
    {
        return !$item->isPause && $item->rung->intensity >= self::HEAVY_FROM;
    }

    public static function isWarmUp(Item $item): bool
    {
        return !$item->isPause && SittingRole::WarmUp === $item->rung->role;
    }

    public static function isCoolDown(Item $item): bool
    {
        return SittingRole::CoolDown === $item->rung->role;
    }

    private static function prepares(Item $item, Segment $segment, Side $side): bool
    {
        if (EffortClass::Prep !== $item->rung->class || !$item->covers($side)) {
            return false;
        }
        $done = $item->rung->segment;
        $hand = [Segment::Fingers, Segment::Thumb];

        return $done === $segment
            || \in_array($segment, [Segment::None, Segment::Shoulder, Segment::Forearm], true)
            || (\in_array($done, $hand, true) && \in_array($segment, $hand, true));
    }

    private static function lengthening(string $group, Side $side, string $text): Need
    {
        return new Need(
            'length '.$group.' '.$side->value,
            $text,
            static fn (Item $i): bool => $i->covers($side) && \in_array(
                $group,
                $i->rung->lengthens,
                true,
            ),
        );
    }

    /** @param non-empty-list<string> $rungIds any of them */
    private static function doing(array $rungIds, Side $side, string $text): Need
    {
        return new Need(
            'did '.implode(' ', $rungIds).' '.$side->value,
            $text,
            static fn (Item $i): bool => $i->covers($side) && \in_array($i->rung->id, $rungIds, true),
        );
    }

    private function stretchedIfTight(Side $side): ?Need
    {
        $text = 'there is finger tone: open the tight hand first';

        return match (true) {
            ($this->fingerToneBySide[$side->value] ?? 1.0) < 1.0 => null,
            !$this->tightHandOpeningFits => self::lengthening(self::LENGTHENS_FINGERS, $side, $text),
            default => self::doing(['thumb-lift-away-stretch', 'finger-space-opener'], $side, $text),
        };
    }

    /**
     * Letting go is trained as often as gripping, and a tight hand opens more than it closes.
     *
     * @param list<Item> $items
     *
     * @return list<BrokenRule>
     */
    private function releaseBroken(array $items): array
    {
        $broken = [];
        $grips = false;
        foreach ($items as $i => $item) {
            $closes = isset($this->gripping[$item->rung->id]);
            $next = self::nextWork($items, $i);
            $tight = $this->isTight($item);
            $grips = $grips || ($tight && self::grips($item));
            if (
                $closes
                && (null === $next || $next->block !== $item->block || null === $item->block)
                && (null === $next || !$this->letsGo($next, $item))
            ) {
                $broken[] = new BrokenRule(
                    'release-after-grip',
                    $item->rung->name.': a letting-go item belongs directly after it',
                    $i,
                );
            } elseif ($tight && self::grips($item) && null !== $next && self::grips($next)) {
                $broken[] = new BrokenRule(
                    'release-between-grips',
                    $item->rung->name.': with this tone gripping and letting go take turns',
                    $i,
                );
            }
        }
        $balance = Balance::of($items);
        if (
            $grips
            && $balance->extensionSeconds < self::TIGHT_BALANCE * $balance->flexionSeconds - 1e-9
        ) {
            $broken[] = new BrokenRule(
                'too-little-opening',
                \sprintf(
                    'A tight or curling hand is given gripping: opening work has to be at least %.1f times as long '
                        .'(%.0f s beside %.0f s)',
                    self::TIGHT_BALANCE,
                    $balance->extensionSeconds,
                    $balance->flexionSeconds,
                ),
            );
        }

        return $broken;
    }

    /** @param list<Item> $items */
    private static function nextWork(array $items, int $after): ?Item
    {
        for ($i = $after + 1; isset($items[$i]); ++$i) {
            if (!$items[$i]->isPause) {
                return $items[$i];
            }
        }

        return null;
    }

    private function letsGo(Item $item, Item $gripped): bool
    {
        foreach (self::sidesOf($gripped) as $side) {
            if (isset($this->lettingGo[$item->rung->id]) && $item->covers($side)) {
                return true;
            }
        }

        return false;
    }

    private function isTight(Item $item): bool
    {
        foreach ($this->tightSides as $side) {
            if ($item->covers($side)) {
                return true;
            }
        }

        return false;
    }

    private static function grips(Item $item): bool
    {
        return !$item->isPause
            && [] !== array_filter(
                $item->rung->loads,
                static fn (MuscleLoad $l): bool => $l->grips(),
            );
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
