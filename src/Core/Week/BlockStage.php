<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** What is due in a block on a day. */
enum BlockStage: string
{
    /** A short call: understood, any pain, things there. */
    case Call = 'call';
    /** The four-minute look. */
    case Look = 'look';
    /** Same sample, same measures, how the task goes, how to go on. */
    case Review = 'review';
    /** Nobody has decided in the week after it: only upkeep goes on. */
    case Upkeep = 'upkeep';

    private const CALL_FROM = 3;
    private const LOOK_FROM = 7;
    /** The review may begin so many days before the end. */
    private const REVIEW_BEFORE = 3;
    private const UPKEEP_AFTER = 7;

    /**
     * @param bool $isCalled   somebody has called since it began
     * @param bool $isLookedAt somebody has looked since its seventh day
     * @param bool $isReviewed the block was reviewed
     *
     * @return ?self null: nothing is due
     */
    public static function due(
        Block $block,
        \DateTimeImmutable $today,
        bool $isCalled,
        bool $isLookedAt,
        bool $isReviewed,
    ): ?self {
        $day = $block->dayOf($today);

        return match (true) {
            $isReviewed || $day < 1 => null,
            $day > $block->days + self::UPKEEP_AFTER => self::Upkeep,
            $day >= $block->days - self::REVIEW_BEFORE => self::Review,
            $day >= self::LOOK_FROM => $isLookedAt ? null : self::Look,
            $day >= self::CALL_FROM => $isCalled || $isLookedAt ? null : self::Call,
            default => null,
        };
    }

    /** The day of the block on which it is to be looked at, counted from 1. */
    public static function lookFrom(): int
    {
        return self::LOOK_FROM;
    }
}
