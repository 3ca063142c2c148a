<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Dose;

/**
 * A routine as a therapist changes it by hand: each change gives the next draft; what is touched stays in later
 * suggestions.
 */
final readonly class Draft
{
    /**
     * @param list<Item>   $items
     * @param list<string> $forbidden item keys that stay out
     */
    public function __construct(
        public array $items,
        public array $forbidden = [],
    ) {
    }

    /** @param int $by -1 up, 1 down; nothing happens at the ends */
    public function moved(int $at, int $by): self
    {
        $items = $this->items;
        if (!isset($items[$at], $items[$at + $by])) {
            return $this;
        }
        [$items[$at], $items[$at + $by]] = [$items[$at + $by], $items[$at]];
        $items = array_values($items);
        $behind = '';
        foreach (\array_slice($items, 0, $at + $by) as $item) {
            $behind = $item->isPause ? $behind : $item->key();
        }
        $moved = $items[$at + $by];
        $items[$at + $by] = $moved->isPause
            ? $moved
            : $moved->withKept(($moved->kept ?? new Kept())->moved($behind));

        return new self(array_values($items), $this->forbidden);
    }

    public function without(int $at): self
    {
        return new self(
            array_values(
                array_filter(
                    $this->items,
                    static fn (int $i): bool => $i !== $at,
                    \ARRAY_FILTER_USE_KEY,
                ),
            ),
            $this->forbidden,
        );
    }

    /** Out, and out of every later suggestion. */
    public function forbidding(int $at): self
    {
        return new self(
            $this->without($at)->items,
            array_values(array_unique([...$this->forbidden, $this->items[$at]->key()])),
        );
    }

    public function allowing(string $key): self
    {
        return new self(
            $this->items,
            array_values(array_filter($this->forbidden, static fn (string $k): bool => $k !== $key)),
        );
    }

    /** In, and in every later suggestion; null lets the builder decide again. */
    public function keeping(int $at, ?Kept $kept): self
    {
        return $this->with($at, $this->items[$at]->withKept($kept));
    }

    public function dosed(int $at, Dose $dose): self
    {
        return $this->with($at, $this->items[$at]->withDose($dose));
    }

    public function swapped(int $at, Item $other): self
    {
        $old = $this->items[$at];

        return new self(
            $this->with($at, $other->withKept(new Kept('Instead of '.$old->rung->name)))->items,
            array_values(array_unique([...$this->forbidden, $old->key()])),
        );
    }

    /** At its place before the closing items. */
    public function adding(Item $item): self
    {
        $at = \count($this->items);
        while (
            $at > 0
            && $this->items[$at - 1]->isCoolDown()
            && !$item->isCoolDown()
        ) {
            --$at;
        }
        $items = $this->items;
        array_splice($items, $at, 0, [$item]);

        return new self(
            $items,
            array_values(
                array_filter($this->forbidden, static fn (string $k): bool => $k !== $item->key()),
            ),
        );
    }

    /**
     * Rules of the order that this draft does not keep and the one before did.
     *
     * @return list<BrokenRule>
     */
    public function newlyBroken(SittingRules $rules, self $before): array
    {
        $known = array_map(
            static fn (BrokenRule $b): string => $before->nameOf($b),
            $rules->broken($before->items),
        );

        return array_values(
            array_filter(
                $rules->broken($this->items),
                fn (BrokenRule $b): bool => $b->isOfTheOrder() && !\in_array(
                    $this->nameOf($b),
                    $known,
                    true,
                ),
            ),
        );
    }

    /**
     * The same with a reason at every item whose rule is set aside.
     *
     * @param list<BrokenRule> $broken
     */
    public function forced(array $broken, string $because): self
    {
        $draft = $this;
        foreach ($broken as $rule) {
            if (null !== $rule->item) {
                $item = $draft->items[$rule->item];
                $draft = $draft->keeping(
                    $rule->item,
                    ($item->kept ?? new Kept())->forcedBecause($because),
                );
            }
        }

        return $draft;
    }

    private function with(int $at, Item $item): self
    {
        $items = $this->items;
        $items[$at] = $item;

        return new self(array_values($items), $this->forbidden);
    }

    private function nameOf(BrokenRule $broken): string
    {
        return $broken->code.' '.(null === $broken->item ? '' : $this->items[$broken->item]->key());
    }
}
