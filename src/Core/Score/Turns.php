<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Cue\Cue;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Routine\Item;

/** The sets of an item, of one hand and then of the other, cue by cue and without the rests between them. */
final readonly class Turns
{
    private const EPSILON = 1e-6;

    private Walk $walk;

    private Units $units;

    private Voice $voice;

    private Course $course;

    private ?float $beat;

    /** How much slower or faster than its walk a movement is. */
    private float $pace;

    /**
     * @param int          $nth   of the stretch, from 0
     * @param list<string> $steps of the daily task that it is; none: it is no task
     * @param ?Picture     $ofTask drawn in place of the exercise
     */
    public function __construct(
        private Item $item,
        private int $nth,
        private Side $worse,
        private int $seed,
        private array $steps = [],
        ?Picture $ofTask = null,
    ) {
        $this->walk = $item->rung->walk;
        $this->units = new Units($this->walk, $item->dose);
        $this->course = new Course($ofTask ?? $item->rung->picture(), $this->walk);
        $this->voice = new Voice($this->walk, $item->dose->repetitions);
        $this->beat = Tempo::of($item);
        $seconds = $this->walk->moveSeconds();
        $this->pace = $seconds > 0.0 ? $item->dose->moveSecondsNow() / $seconds : 1.0;
    }

    /** @return list<list<Played>> by side, worse hand first, and set */
    public function all(): array
    {
        $turns = [];
        foreach ($this->sides() as $side) {
            $ofSide = [];
            for ($set = 1; $set <= $this->item->dose->setsPlayed(); ++$set) {
                $ofSide[] = $this->turn($side, $set);
            }
            array_push($turns, ...$this->inFullSeconds($ofSide));
        }

        return $turns;
    }

    /** @return non-empty-list<?Side> */
    private function sides(): array
    {
        return match ($this->item->hands) {
            Hands::Left => [Side::Left],
            Hands::Right => [Side::Right],
            Hands::Together => [null],
            Hands::Each => [$this->worse, $this->worse->opposite()],
        };
    }

    /** @return list<Played> */
    private function turn(?Side $side, int $set): array
    {
        $order = $this->units->ofSet($set);
        $called = $this->called($set, $side);
        $last = \count($order) - 1;
        $cues = [];
        $before = null;
        foreach ($order as $i => [$repetition, $unit, $otherUnit]) {
            $leads = $this->walk->alternates ? self::alternating($i) : $side;
            $place = new Place(
                $this->nth,
                $leads,
                $set,
                $repetition,
                unit: $unit,
                otherUnit: $otherUnit,
            );
            if (null !== $before && $this->changes($before, $place, $i)) {
                $cues[] = new Played(
                    Part::Change,
                    CueKind::Rest,
                    (float) $this->item->dose->betweenSeconds,
                    $place,
                );
            }
            $stills = $this->stills($unit, $called[$i] ?? null);
            foreach ($this->walk->cues as $nth => $cue) {
                $closes = $nth === \count($this->walk->cues) - 1;
                array_push($cues, ...$this->played($cue, new Played(
                    Part::Work,
                    $cue->kind,
                    0.0,
                    $place,
                    words: $cue->words,
                    stills: $stills[$nth] ?? [0],
                    aloud: $this->voice->of(
                        $cue,
                        $repetition,
                        $closes,
                        $i === $last,
                    ),
                    saysSide: 0 === $nth && (0 === $i || $this->walk->alternates),
                    saysUnit: 0 === $nth && null !== $unit && $unit !== $before?->unit,
                    number: $called[$i] ?? $repetition,
                    count: $this->item->dose->repetitions,
                    done: $closes ? 1 : 0,
                    beat: $this->beat,
                )));
            }
            $before = $place;
        }

        return $cues;
    }

    /** @return list<non-empty-list<int>> that each cue goes through */
    private function stills(?string $unit, ?int $called): array
    {
        $toCalled = null === $called ? null : $this->course->toNumber($called);

        return null === $toCalled
            ? $this->course->paths($unit)
            : array_fill(0, \count($this->walk->cues), $toCalled);
    }

    private static function alternating(int $nth): Side
    {
        return 0 === $nth % 2 ? Side::Right : Side::Left;
    }

    /** The time of a change stands once in the first pass of a set. */
    private function changes(Place $before, Place $now, int $nth): bool
    {
        return $this->item->dose->betweenSeconds > 0
            && $before->unit !== $now->unit
            && ($nth < $this->item->dose->parts || 1 === $now->repetition);
    }

    /** @return list<Played> one, or one for each number that is run through on the beat */
    private function played(Cue $cue, Played $played): array
    {
        $seconds = $cue->seconds * $this->pace + $cue->holdShare * $this->item->dose->holdSeconds;
        if ([] !== $this->steps) {
            return $this->stepByStep($cue, $played->lasting($seconds));
        }
        $numbers = $this->numbers($cue, $played->place);
        if ([] === $numbers || null === $this->beat) {
            return $seconds <= 0.0 ? [] : [$played->with([
                'seconds' => $seconds,
                'countsHold' => $this->voice->countsHold($cue, $seconds),
            ])];
        }
        $each = min(60.0 / $this->beat, $seconds / \count($numbers));
        $run = array_map(fn (int $n): Played => $played->with([
            'seconds' => $each,
            'number' => $n,
            'stills' => $this->course->toNumber($n) ?? $played->stills,
            'aloud' => Aloud::Words,
            'done' => 0,
        ]), $numbers);
        $last = array_pop($run);

        return [...$run, $last->with([
            'seconds' => $seconds - $each * \count($run),
            'done' => $played->done,
        ])];
    }

    /** @return list<Played> the doing of a task has a cue for each of its steps */
    private function stepByStep(Cue $cue, Played $played): array
    {
        $count = \count($this->steps);
        $longest = max(array_column($this->walk->cues, 'seconds'));
        if ($cue->seconds < $longest) {
            return [$played->with(['number' => 1, 'count' => $count])];
        }
        $cues = [];
        foreach ($this->steps as $i => $words) {
            $cues[] = $played->with([
                'seconds' => $played->seconds / $count,
                'words' => $words,
                'stills' => $this->course->atStep($i, $count),
                'aloud' => Aloud::Words,
                'saysUnit' => false,
                'number' => $i + 1,
                'count' => $count,
                'done' => $i + 1 === $count ? $played->done : 0,
            ]);
        }

        return $cues;
    }

    /** @return list<int> of a unit that is a run of numbers */
    private function numbers(Cue $cue, Place $place): array
    {
        return CueKind::Beat === $cue->kind && 1 === preg_match(
            '/^\d( \d)+$/',
            (string) $place->unit,
        )
            ? array_map(intval(...), explode(' ', (string) $place->unit))
            : [];
    }

    /** @return list<int> in the order of the repetitions; none: nothing is called */
    private function called(int $set, ?Side $side): array
    {
        return null === $this->walk->calls ? [] : CallOrder::of(
            $this->walk->calls,
            $this->item->dose->repetitions,
            $this->seed + 31 * $set + \ord($side->value ?? 'b'),
            1 === $set,
        );
    }

    /**
     * What a faster movement leaves of the last second of a side belongs to its last cue.
     *
     * @param list<list<Played>> $turns of one side
     *
     * @return list<list<Played>>
     */
    private function inFullSeconds(array $turns): array
    {
        $seconds = 0.0;
        foreach (array_merge(...$turns) as $cue) {
            $seconds += $cue->seconds;
        }
        $left = ceil($seconds - self::EPSILON) - $seconds;
        if ($left < self::EPSILON) {
            return $turns;
        }
        $turn = array_key_last($turns);
        $last = array_key_last($turns[$turn] ?? []);
        if (null !== $turn && null !== $last) {
            $cue = $turns[$turn][$last];
            $turns[$turn][$last] = $cue->lasting($cue->seconds + $left);
        }

        return array_map(array_values(...), $turns);
    }
}
