<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** A limit in the time in which a clinic works. */
final readonly class Within
{
    /**
     * @param int  $hours        of work
     * @param int  $days         working days later
     * @param bool $untilClosing not to the hour: until that day closes
     */
    private function __construct(
        public int $hours,
        public int $days,
        public bool $untilClosing,
    ) {
    }

    public static function hours(int $hours): self
    {
        return new self($hours, 0, false);
    }

    /** At the same time of a working day so many later. */
    public static function days(int $days): self
    {
        return new self(0, $days, false);
    }

    /** Before the working day closes that lies so many days later; 0: the one that runs, or the next to open. */
    public static function closingOf(int $days): self
    {
        return new self(0, $days, true);
    }
}
