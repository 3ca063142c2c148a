<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** One moment of one repetition of one unit. */
final readonly class Cue
{
    /**
     * @param float  $seconds   its own time; 0 for a hold, which takes what the dose says
     * @param float  $holdShare of the dose's hold: 1 or a half; 0 for what is no hold
     * @param string $words     with {side}, {unit}, {n}, {count} and {hold} as places
     */
    public function __construct(
        public CueKind $kind,
        public float $seconds,
        public float $holdShare,
        public string $words,
    ) {
    }
}
