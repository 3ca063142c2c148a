<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

/** What happens to a made-up client over the weeks, whatever is given. */
enum Fate: string
{
    case Steady = 'steady';
    case Creeping = 'pain that creeps up';
    case Tiring = 'tires easily';
    case Falling = 'days on which much is two thirds';

    private const CREEPS_FROM = 21;
    private const CREEPS_EVERY = 4;
    private const MOST_CREPT = 3;
    private const FALLS_FROM = 17;
    private const FALLS_TO = 31;
    private const SPARED = 3;

    public static function of(int $seed): self
    {
        $all = self::cases();

        return $all[intdiv($seed, \count(Trouble::cases())) % \count($all)];
    }

    public function painOn(int $day, int $usual): int
    {
        $crept = intdiv(max(0, $day - self::CREEPS_FROM), self::CREEPS_EVERY);

        return self::Creeping === $this ? max($usual, min(self::MOST_CREPT, $usual + $crept)) : $usual;
    }

    /** How much more tiring everything is. */
    public function tiring(): float
    {
        return self::Tiring === $this ? 3.0 : 1.0;
    }

    /** Share that is reached at most; a third of the exercises go on as ever, and would grow. */
    public function reaches(int $day, string $rungId): float
    {
        $falls = self::Falling === $this && $day >= self::FALLS_FROM && $day <= self::FALLS_TO;

        return $falls && 0 !== crc32($rungId) % self::SPARED ? 0.66 : 1.0;
    }
}
