<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

use HandGarden\Core\Measure\ToneGrade;

/** How far the hand can be opened slowly, and its tone, which is graded no more than once and last. */
final readonly class OpeningTest
{
    /** @param int $openingPercent from fist to flat */
    public function __construct(
        public int $openingPercent,
        public ?ToneGrade $tone = null,
    ) {
    }

    /**
     * Whether the tone has clearly dropped since then: by a full grade, or the hand opens clearly further. A hand that
     * opens further and was graded as tighter has not.
     */
    public function hasDroppedSince(self $before, ReleaseLimits $limits): bool
    {
        $dropped = null === $this->tone || null === $before->tone
            ? 0.0
            : $before->tone->rank() - $this->tone->rank();
        $opened = $this->openingPercent - $before->openingPercent;

        return $dropped >= $limits->toneDrop || ($dropped >= 0.0 && $opened >= $limits->openingRise);
    }
}
