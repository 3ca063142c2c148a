<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** What several trials of a measure come to. */
enum Combine
{
    case Mean;
    case Best;

    /** @param non-empty-list<float> $trials */
    public function value(array $trials, bool $lowerIsBetter): float
    {
        return match ($this) {
            self::Mean => Statistics::mean($trials),
            self::Best => $lowerIsBetter ? min($trials) : max($trials),
        };
    }
}
