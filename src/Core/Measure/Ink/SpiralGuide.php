<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/**
 * An Archimedean spiral: r = start + pitch x turns, clockwise on the screen from the right of the middle, in
 * pixels.
 */
final readonly class SpiralGuide implements Guide
{
    public function __construct(
        public float $cx,
        public float $cy,
        public float $startRadius,
        public float $pitch,
        public float $turns,
    ) {
        if ($startRadius < 0.0 || $pitch < 5.0 || $turns < 0.5 || $turns > 12.0) {
            throw new InvalidInk('A spiral needs a pitch of at least 5 pixels and 0.5 to 12 turns.');
        }
    }

    /**
     * The angle is followed from point to point, so that a point that slips over to the next turn counts with its whole
     * error. A stroke starts at the turn that is nearest to it.
     */
    public function distances(array $points): array
    {
        $distances = [];
        $turn = null;
        foreach ($points as $p) {
            $radius = hypot($p->x - $this->cx, $p->y - $this->cy);
            $part = atan2($p->y - $this->cy, $p->x - $this->cx) / (2.0 * \M_PI);
            $turn = $part + round(($turn ?? ($radius - $this->startRadius) / $this->pitch) - $part);
            $along = max(0.0, min($this->turns, $turn));
            $reach = $this->startRadius + $this->pitch * $along;
            $ends = abs($turn - $along);
            $away = hypot($radius - $reach, 2.0 * \M_PI * $ends * $reach);
            $distances[] = match (true) {
                $ends < 0.05 => $radius - $reach,
                $radius < $reach => -$away,
                default => $away,
            };
        }

        return $distances;
    }

    public function outline(): array
    {
        $outline = [];
        $steps = (int) ceil($this->turns * 48);
        for ($i = 0; $i <= $steps; ++$i) {
            $turn = $this->turns * $i / $steps;
            $radius = $this->startRadius + $this->pitch * $turn;
            $outline[] = [
                $this->cx + $radius * cos(2.0 * \M_PI * $turn),
                $this->cy + $radius * sin(2.0 * \M_PI * $turn),
            ];
        }

        return $outline;
    }
}
