<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\EffortClass;

/**
 * What makes a routine somebody's idea: what was kept in and out by hand, the ladders put first, the real tasks. The
 * rest, doses and amounts included, is worked out anew for whoever gets it.
 */
final readonly class Shape
{
    /**
     * @param list<array{rung: string, hand: ShapeHand}>   $pinned
     * @param list<array{rung: string, hand: ShapeHand}>   $forbidden
     * @param list<array{ladder: string, hand: ShapeHand}> $focus
     */
    public function __construct(
        public array $pinned = [],
        public array $forbidden = [],
        public array $focus = [],
    ) {
    }

    /**
     * @param list<Item>   $items
     * @param list<string> $forbidden item keys
     * @param list<string> $focus     `ladder|side`
     */
    public static function of(array $items, array $forbidden, array $focus, Side $worse): self
    {
        $pinned = $out = $first = [];
        foreach ($items as $item) {
            $isWanted = null !== $item->kept || EffortClass::Task === $item->rung->load->class;
            if ($isWanted && !$item->isPause) {
                $pinned[] = ['rung' => $item->rung->id, 'hand' => ShapeHand::fromHands(
                    $item->hands,
                    $worse,
                )];
            }
        }
        foreach ($forbidden as $text) {
            $key = ItemKey::fromText($text);
            if (null !== $key) {
                $out[] = ['rung' => $key->rungId, 'hand' => ShapeHand::fromHands($key->hands, $worse)];
            }
        }
        foreach ($focus as $text) {
            [$ladder, $side] = explode('|', $text) + [1 => ''];
            $hand = Side::tryFrom($side) === $worse ? ShapeHand::Worse : ShapeHand::Other;
            $first[] = ['ladder' => $ladder, 'hand' => $hand];
        }

        return new self($pinned, $out, $first);
    }

    public function isEmpty(): bool
    {
        return [] === $this->pinned && [] === $this->forbidden && [] === $this->focus;
    }

    /** @return list<ItemKey> what is to come in */
    public function pinnedFor(Side $worse): array
    {
        return self::keys($this->pinned, $worse);
    }

    /** @return list<string> item keys that are to stay out */
    public function forbiddenFor(Side $worse): array
    {
        return array_map(
            static fn (ItemKey $key): string => $key->text(),
            self::keys($this->forbidden, $worse),
        );
    }

    /** @return list<string> `ladder|side` that come first */
    public function focusFor(Side $worse): array
    {
        return array_map(
            static fn (array $one): string => $one['ladder'].'|'.$one['hand']->hands($worse)->value,
            $this->focus,
        );
    }

    /**
     * @param list<array{rung: string, hand: ShapeHand}> $list
     *
     * @return list<ItemKey>
     */
    private static function keys(array $list, Side $worse): array
    {
        return array_map(
            static fn (array $one): ItemKey => new ItemKey($one['rung'], $one['hand']->hands($worse)),
            $list,
        );
    }
}
