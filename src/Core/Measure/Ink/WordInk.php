<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/** A written word: how large, how long, how often the pen was lifted. */
final readonly class WordInk
{
    private function __construct(
        public ?float $widthMm,
        public ?float $heightMm,
        public float $widthPixels,
        public float $heightPixels,
        public float $seconds,
        public int $penLifts,
    ) {
    }

    public static function from(Sheet $sheet): ?self
    {
        $bounds = $sheet->bounds();
        if (null === $bounds) {
            return null;
        }
        [$left, $top, $right, $bottom] = $bounds;

        return new self(
            $sheet->mm($right - $left),
            $sheet->mm($bottom - $top),
            $right - $left,
            $bottom - $top,
            seconds: $sheet->seconds(),
            penLifts: \count($sheet->strokes) - 1,
        );
    }
}
