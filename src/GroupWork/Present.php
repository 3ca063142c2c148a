<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

/** Somebody who is there, as they say they are before it begins. */
final readonly class Present
{
    /**
     * @param int  $pain      now, 0 to 10
     * @param bool $hurtLater for hours after the last sitting, or the next morning
     */
    public function __construct(
        public Member $member,
        public int $pain,
        public bool $hurtLater,
    ) {
    }
}
