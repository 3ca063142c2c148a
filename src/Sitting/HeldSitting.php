<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Web\Row;

/** A sitting in which something was done. */
final readonly class HeldSitting
{
    /**
     * @param ?float $minutes from begin to end, pauses included; null: they are not known
     * @param ?bool  $helped  a hand helped with something; null: nobody told
     */
    private function __construct(
        public string $id,
        public \DateTimeImmutable $day,
        public ?float $minutes,
        public ?bool $helped,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->day('day'),
            true === $row->bool('timed') ? $row->float('minutes') : null,
            $row->bool('helped'),
        );
    }
}
