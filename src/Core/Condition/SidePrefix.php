<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** Whose hand an atom speaks of; without a prefix the side being placed. */
enum SidePrefix: string
{
    case Placed = '';
    case Other = 'other';
    case Both = 'both';
    case WritingHand = 'writing_hand';
    case KnifeHand = 'knife_hand';

    /** @return non-empty-list<Side> the sides on which the atom must hold */
    public function sides(Side $placed, Side $writingHand, Side $steadierHand): array
    {
        return match ($this) {
            self::Placed => [$placed],
            self::Other => [$placed->opposite()],
            self::Both => [$placed, $placed->opposite()],
            self::WritingHand => [$writingHand],
            self::KnifeHand => [$steadierHand],
        };
    }
}
