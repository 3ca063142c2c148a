<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/** A straight guide between two ends, in pixels. */
final readonly class LineGuide implements Guide
{
    public function __construct(
        public float $x1,
        public float $y1,
        public float $x2,
        public float $y2,
    ) {
        if (hypot($x2 - $x1, $y2 - $y1) < 10.0) {
            throw new InvalidInk('A guide line must be at least 10 pixels long.');
        }
    }

    public function distances(array $points): array
    {
        $length = hypot($this->x2 - $this->x1, $this->y2 - $this->y1);
        $ux = ($this->x2 - $this->x1) / $length;
        $uy = ($this->y2 - $this->y1) / $length;

        return array_map(function (InkPoint $p) use ($ux, $uy, $length): float {
            $along = ($p->x - $this->x1) * $ux + ($p->y - $this->y1) * $uy;
            $across = ($p->x - $this->x1) * -$uy + ($p->y - $this->y1) * $ux;
            $past = $along < 0.0 ? -$along : max(0.0, $along - $length);

            $away = hypot($across, $past);

            return match (true) {
                0.0 === $past => $across,
                $across < 0.0 => -$away,
                default => $away,
            };
        }, $points);
    }

    public function outline(): array
    {
        return [[$this->x1, $this->y1], [$this->x2, $this->y2]];
    }
}
