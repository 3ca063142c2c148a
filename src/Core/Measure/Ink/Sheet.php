<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/** What was drawn in one go: strokes from touching down to lifting, and the scale of the screen where it is known. */
final readonly class Sheet
{
    /** @var list<non-empty-list<InkPoint>> in the order drawn */
    public array $strokes;

    /**
     * @param list<list<InkPoint>> $strokes
     * @param float|null           $pixelsPerMm null: not calibrated, so nothing is said in millimetres
     */
    public function __construct(
        array $strokes,
        public ?float $pixelsPerMm = null,
    ) {
        $this->strokes = array_values(
            array_filter($strokes, static fn (array $stroke): bool => [] !== $stroke),
        );
        if (null !== $pixelsPerMm && $pixelsPerMm <= 0.0) {
            throw new InvalidInk('A scale must be more than 0 pixels a millimetre.');
        }
    }

    public function mm(?float $pixels): ?float
    {
        return null === $pixels || null === $this->pixelsPerMm ? null : $pixels / $this->pixelsPerMm;
    }

    /** Seconds from first touching down to last lifting. */
    public function seconds(): float
    {
        $last = [] === $this->strokes ? null : $this->strokes[\count($this->strokes) - 1];

        return null === $last
            ? 0.0
            : ($last[\count($last) - 1]->ms - $this->strokes[0][0]->ms) / 1000.0;
    }

    /** Seconds with the pointer down. */
    public function secondsDown(): float
    {
        return array_sum(
            array_map(
                static fn (array $s): float => ($s[\count($s) - 1]->ms - $s[0]->ms) / 1000.0,
                $this->strokes,
            ),
        );
    }

    public function lengthPixels(): float
    {
        $length = 0.0;
        foreach ($this->strokes as $stroke) {
            foreach ($stroke as $i => $point) {
                $before = $stroke[$i - 1] ?? $point;
                $length += hypot($point->x - $before->x, $point->y - $before->y);
            }
        }

        return $length;
    }

    /** @return array{float, float, float, float}|null left, top, right, bottom in pixels */
    public function bounds(): ?array
    {
        $points = array_merge(...$this->strokes);
        if ([] === $points) {
            return null;
        }
        $x = array_map(static fn (InkPoint $p): float => $p->x, $points);
        $y = array_map(static fn (InkPoint $p): float => $p->y, $points);

        return [min($x), min($y), max($x), max($y)];
    }
}
