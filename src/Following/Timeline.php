<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Chart\Plot;
use HandGarden\Core\Words\Phrase;

/** The days of a chart: from left to right, with what is shaded, and lines that break where nothing was for long. */
final readonly class Timeline
{
    public const WIDE = 560.0;
    public const NARROW = 360.0;
    private const HEIGHT = 190.0;
    private const TICK_WIDTH = 94.0;
    private const DAY = 86_400;
    /** Over whose begin nothing is compared. */
    private const BARS = ['injection', 'medicine'];
    /** Days without a value over which no line goes. */
    private const GAP_DAYS = 14;

    /** @param list<Period> $periods */
    public function __construct(
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public array $periods,
        private float $width = self::WIDE,
    ) {
    }

    public function plot(float $least, float $most): Plot
    {
        $plot = new Plot(
            self::at($this->from) - 0.5,
            self::at($this->until) + 0.5,
            $least,
            $most,
            width: $this->width,
            height: self::HEIGHT,
        );
        foreach ($this->periods as $period) {
            $plot->phase(
                self::at($period->from) - 0.5,
                self::at($period->until) + 0.5,
                'phase phase-'.$period->kind,
                $period->words,
            );
        }

        return $plot->across($this->ticks(), '');
    }

    public static function at(\DateTimeImmutable $day): float
    {
        return (float) intdiv($day->getTimestamp(), self::DAY);
    }

    /**
     * @param list<array{\DateTimeImmutable, float}> $points oldest first
     */
    public function line(Plot $plot, array $points, string $class): void
    {
        $piece = [];
        foreach ($points as [$day, $value]) {
            $last = $piece[array_key_last($piece) ?? -1][0] ?? null;
            if (null !== $last && $this->breaks($last, self::at($day))) {
                $plot->line($piece, $class);
                $piece = [];
            }
            $piece[] = [self::at($day), $value];
        }
        $plot->line($piece, $class);
    }

    /** No line goes over a long time without a value, nor over what bars comparing. */
    private function breaks(float $from, float $to): bool
    {
        if ($to - $from > self::GAP_DAYS) {
            return true;
        }
        foreach ($this->periods as $period) {
            $begins = self::at($period->from);
            if (\in_array($period->kind, self::BARS, true) && $from < $begins && $to >= $begins) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Phrase> what is shaded, in words */
    public function words(): array
    {
        return array_map(static fn (Period $p): Phrase => new Phrase('trend.period', [
            'words' => $p->words,
            'from' => Phrase::day($p->from),
            'until' => Phrase::day($p->until),
        ]), $this->periods);
    }

    /** @return array<int|string, string> days with their names, as many as have room */
    private function ticks(): array
    {
        $days = (int) $this->from->diff($this->until)->format('%a');
        $most = (int) floor($this->width / self::TICK_WIDTH);
        $step = max(
            7,
            7 * (int) ceil($days / 7 / $most),
        );
        $ticks = [];
        for ($n = 0; $n <= $days; $n += $step) {
            $day = $this->from->modify('+'.$n.' days');
            $ticks[(string) self::at($day)] = $day->format('j M');
        }

        return $ticks;
    }
}
