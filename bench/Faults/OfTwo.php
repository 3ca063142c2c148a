<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

/** What has to become of two people who send the same form at once. */
enum OfTwo
{
    case BothAdd;
    case SecondIsAskedAgain;
    /** Both are led back to the page, where the second is told. */
    case SecondIsTold;
    case OnlyTheLead;

    /** @param array{int, int} $statuses the smaller one first */
    public function isRight(array $statuses): bool
    {
        return match ($this) {
            self::SecondIsAskedAgain => 303 === $statuses[0] && \in_array(
                $statuses[1],
                [409, 422],
                true,
            ),
            self::OnlyTheLead => true,
            default => [303, 303] === $statuses,
        };
    }
}
