<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Words\Phrase;

/**
 * The card of one place: every exercise of the class as shown, in a version of this client's own, or rest. It asks what
 * a sitting of theirs would ask: the one door, what holds a dose down today, and every hard rule of a sitting.
 */
final readonly class PlaceCards
{
    /**
     * @param Given                        $given  of the class's own door
     * @param \Closure(Rung, Hands): Dose $doseOf of record, or the first
     */
    public function __construct(
        private Catalogue $catalogue,
        private ClassDoor $door,
        private Given $given,
        private SittingRules $rules,
        private Side $worse,
        private \Closure $doseOf,
    ) {
    }

    /**
     * @param list<Rung> $class in the order in which it is led
     * @param bool       $onlyCalm it hurts too much before it: what works rests
     *
     * @return list<PlaceItem> one for each
     */
    public function of(array $class, bool $onlyCalm = false): array
    {
        $card = [];
        foreach ($class as $rung) {
            $card[] = $this->choose($rung, $class, $card, $onlyCalm);
        }

        return $this->withinTheDay($this->withinTheRules($card));
    }

    /**
     * What is done of an exercise after others, where it may be done as shown.
     *
     * @param list<Item> $chosen that stand before it
     */
    public function asShown(Rung $rung, array $chosen): ?Item
    {
        $item = $this->item($rung);
        $given = null === $item ? null : $this->today($item, $chosen);

        return $given instanceof Item ? $given : null;
    }

    /**
     * @param list<Rung>      $class
     * @param list<PlaceItem> $before what stands on the card so far
     */
    private function choose(Rung $shown, array $class, array $before, bool $onlyCalm): PlaceItem
    {
        $chosen = self::items($before);
        $why = null;
        foreach ([$shown, ...$this->others($shown, $class)] as $rung) {
            $item = $this->item($rung);
            if (null === $item) {
                continue;
            }
            if ($onlyCalm && !$rung->load->class->isRestful()) {
                $why ??= new Phrase('class.why.hurts');
                continue;
            }
            $given = $this->today($item, $chosen);
            if ($given instanceof Item) {
                return null === $why ? PlaceItem::same($given) : PlaceItem::other($given, $why);
            }
            $why ??= $given;
        }

        return PlaceItem::rest($why ?? new Phrase('class.why.hands'));
    }

    /**
     * @param list<Item> $chosen
     *
     * @return Item|Phrase at today's dose, or why it waits
     */
    private function today(Item $item, array $chosen): Item|Phrase
    {
        if (\in_array($item->key(), array_map(static fn (Item $i): string => $i->key(), $chosen), true)) {
            return new Phrase('class.why.twice');
        }
        $stops = $this->door->stops($item);
        if (null !== $stops) {
            return $stops;
        }
        $given = $this->given->of([$item]);
        foreach ($given->items as $one) {
            if ($one->key() === $item->key()) {
                return $this->rules->whyLeftOut($chosen, [$one]) ?? $one;
            }
        }

        return $given->resting[0]->reason ?? new Phrase('class.why.enough');
    }

    private function item(Rung $rung): ?Item
    {
        $hands = ClassDoor::isForClasses($rung) ? ClassDoor::hands($rung, $this->worse) : null;

        return null === $hands ? null : new Item(
            $rung,
            $hands,
            ($this->doseOf)($rung, $hands),
            Phrase::own($rung->instructions->why),
        );
    }

    /**
     * What may stand for it, nearest first: easier ones of its own ladder, those it names as easier, then what trains
     * the same in another ladder, best the same part. None is harder, and none that the class does anyway.
     *
     * @param list<Rung> $class
     *
     * @return list<Rung>
     */
    private function others(Rung $shown, array $class): array
    {
        $ladder = $this->catalogue->ladderOf($shown->id);
        $at = (int) array_search($shown, $ladder->rungs, true);
        $named = array_filter(
            array_map(fn (string $id): ?Rung => $this->catalogue->hasRung($id)
                ? $this->catalogue->rung($id)
                : null, $shown->easier),
        );
        $alike = array_filter(
            $this->catalogue->rungs(),
            fn (Rung $r): bool => $this->catalogue->ladderOf($r->id)->strand === $ladder->strand
                && $r->load->class === $shown->load->class,
        );
        usort($alike, static fn (Rung $a, Rung $b): int => ($b->load->segment === $shown->load->segment)
            <=> ($a->load->segment === $shown->load->segment));
        $others = [];
        foreach ([...array_reverse(\array_slice($ladder->rungs, 0, $at)), ...$named, ...$alike] as $rung) {
            $mayStand = $rung->sitting->role === $shown->sitting->role
                && $rung->load->intensity <= $shown->load->intensity
                && !\in_array($rung, $class, true);
            if ($mayStand) {
                $others[$rung->id] ??= $rung;
            }
        }

        return array_values($others);
    }

    /**
     * What a rule of the order speaks against rests; where a tight hand would grip more than it opens, gripping does.
     *
     * @param list<PlaceItem> $card
     *
     * @return list<PlaceItem>
     */
    private function withinTheRules(array $card): array
    {
        while (null !== $found = $this->firstBroken($card)) {
            [$at, $rule] = $found;
            $card[$at] = PlaceItem::rest($rule->words);
            $card = array_values($card);
        }

        return $card;
    }

    /**
     * @param list<PlaceItem> $card
     *
     * @return array{int, BrokenRule}|null place of what has to rest, and why
     */
    private function firstBroken(array $card): ?array
    {
        $places = array_keys(array_filter($card, static fn (PlaceItem $i): bool => null !== $i->item));
        foreach ($this->rules->broken(self::items($card)) as $rule) {
            $at = match (true) {
                null !== $rule->item => $places[$rule->item] ?? null,
                BrokenRule::TOO_LITTLE_OPENING === $rule->code => $this->lastGrip($card),
                default => null,
            };
            if (null !== $at) {
                return [$at, $rule];
            }
        }

        return null;
    }

    /** @param list<PlaceItem> $card */
    private function lastGrip(array $card): ?int
    {
        foreach (array_reverse($card, true) as $at => $one) {
            if (true === $one->item?->grips()) {
                return $at;
            }
        }

        return null;
    }

    /**
     * As much of it as the day allows: less in the first days, after a long time away, and after an earlier sitting.
     *
     * @param list<PlaceItem> $card
     *
     * @return list<PlaceItem>
     */
    private function withinTheDay(array $card): array
    {
        $given = [];
        foreach ($this->given->of(self::items($card))->items as $item) {
            $given[$item->key()] = $item;
        }

        return array_map(static function (PlaceItem $one) use ($given): PlaceItem {
            $item = null === $one->item ? null : $given[$one->item->key()] ?? null;

            return match (true) {
                null === $one->item => $one,
                null === $item => PlaceItem::rest(new Phrase('class.why.enough')),
                null === $one->why => PlaceItem::same($item),
                default => PlaceItem::other($item, $one->why),
            };
        }, $card);
    }

    /**
     * @param list<PlaceItem> $card
     *
     * @return list<Item>
     */
    private static function items(array $card): array
    {
        return array_values(array_filter(
            array_map(static fn (PlaceItem $i): ?Item => $i->item, $card),
        ));
    }
}
