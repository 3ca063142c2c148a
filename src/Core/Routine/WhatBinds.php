<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Words\Phrase;

/** Why a routine is not longer: the limit that it meets first. */
final class WhatBinds
{
    /** Of the time: what is left over then is too short for anything. */
    private const FULL = 0.95;
    private const NEARLY = 0.97;

    /** @param list<Item> $items */
    public static function on(array $items, Limits $limits): Phrase
    {
        $sequence = new Sequence($items);

        return match (true) {
            $sequence->seconds() >= self::FULL * $limits->seconds() => new Phrase('binds.time'),
            $sequence->effort() >= self::NEARLY * $limits->effortBudget() => new Phrase('binds.effort'),
            $sequence->homeItems() >= $limits->homeItems => new Phrase(
                'binds.items',
                ['most' => $limits->homeItems],
            ),
            default => new Phrase('binds.nothing_more'),
        };
    }
}
