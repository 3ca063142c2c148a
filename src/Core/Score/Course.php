<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Cue\WalkKind;

/**
 * Which stills of the picture each cue goes through. A movement goes out to the still that tells most and back, over
 * those that come after it or the way it came; a course of steps goes through all of them once.
 *
 * @phpstan-type Path non-empty-list<int>
 */
final readonly class Course
{
    public function __construct(
        private Picture $picture,
        private Walk $walk,
    ) {
    }

    /** @return list<Path> for each cue of one repetition of a unit */
    public function paths(?string $unit): array
    {
        $route = $this->route($unit);

        return $this->isCourse() ? $this->inSteps($route) : $this->outAndBack($route);
    }

    /**
     * To the still of a number that is called or counted.
     *
     * @return Path|null null: numbers have no stills of their own
     */
    public function toNumber(int $number): ?array
    {
        foreach ($this->picture->stills as $nth => $still) {
            if ($still->unit === (string) $number) {
                return [0, $nth];
            }
        }

        return null;
    }

    /**
     * To where a step of a task is, its stills being spread over all of them.
     *
     * @param int $nth from 0
     *
     * @return Path
     */
    public function atStep(int $nth, int $of): array
    {
        $last = \count($this->picture->stills) - 1;
        $at = static fn (int $step): int => (int) round(max(0, $step) / max(1, $of - 1) * $last);

        return range($at($nth - 1), $at($nth));
    }

    private function isCourse(): bool
    {
        return match ($this->walk->kind) {
            WalkKind::Steps, WalkKind::Pieces, WalkKind::Lap, WalkKind::Guide, WalkKind::Wear, WalkKind::Notice,
            WalkKind::Breath, WalkKind::Beat => true,
            default => 1 === \count($this->walk->cues),
        };
    }

    /** @return Path the stills of a unit, from the common start where it has none of its own */
    private function route(?string $unit): array
    {
        $own = $common = [];
        foreach ($this->picture->stills as $nth => $still) {
            if (null === $still->unit) {
                $common[] = $nth;
            } elseif ($still->unit === $unit) {
                $own[] = $nth;
            }
        }
        if ([] === $own) {
            return [] === $common ? array_keys($this->picture->stills) : $common;
        }

        return \count($own) > 1 || [] === $common ? $own : [$common[0], ...$own];
    }

    /**
     * @param Path $route
     *
     * @return list<Path>
     */
    private function inSteps(array $route): array
    {
        $cues = \count($this->walk->cues);
        $last = \count($route) - 1;
        $paths = [];
        $at = 0;
        foreach (array_keys($this->walk->cues) as $nth) {
            $to = 1 === $cues ? $last : (int) round($nth / ($cues - 1) * $last);
            $paths[] = \array_slice(
                $route,
                min($at, $to),
                abs($to - $at) + 1,
            );
            $at = $to;
        }

        /** @var list<Path> $paths */
        return $paths;
    }

    /**
     * @param Path $route
     *
     * @return list<Path>
     */
    private function outAndBack(array $route): array
    {
        $telling = array_search($this->picture->telling(), $route, true);
        $far = false === $telling || 0 === $telling ? \count($route) - 1 : $telling;
        $out = \array_slice($route, 0, $far + 1);
        $beyond = \array_slice($route, $far);
        $back = \count($beyond) > 1 ? $beyond : array_reverse($out);
        $isOut = false;
        $paths = [];
        foreach ($this->walk->cues as $cue) {
            $moves = self::moves($cue->kind, $isOut);
            $paths[] = match (true) {
                null === $moves => [$isOut ? $route[$far] : $route[0]],
                $moves && $isOut => [$route[$far]],
                $moves => $out,
                default => $isOut ? $back : [$route[0]],
            };
            $isOut = $moves ?? $isOut;
        }

        /** @var list<Path> $paths */
        return $paths;
    }

    /** @return bool|null true: out, false: back, null: it stays where it is */
    private static function moves(CueKind $kind, bool $isOut): ?bool
    {
        return match ($kind) {
            CueKind::Return, CueKind::BreatheOut => false,
            CueKind::Hold, CueKind::Rest, CueKind::Wear, CueKind::Notice => null,
            CueKind::Pair, CueKind::Beat => !$isOut,
            CueKind::BreatheIn, CueKind::Move, CueKind::Direction, CueKind::Shape, CueKind::Call, CueKind::Piece,
            CueKind::Step => true,
        };
    }
}
