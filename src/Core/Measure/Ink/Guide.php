<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/** The line to follow. */
interface Guide
{
    /**
     * Signed distance of every point from the guide, in pixels, in the order of the points.
     *
     * @param list<InkPoint> $points of one stroke
     *
     * @return list<float>
     */
    public function distances(array $points): array;

    /** @return list<array{float, float}> the guide itself, to draw it */
    public function outline(): array;
}
