<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;

/**
 * Writes a sitting down as it will be played: every exercise by its walk, chains in rounds, each as long as the time
 * that the routine counts for it. The same sitting with the same seed gives the same score.
 */
final readonly class Composer
{
    /**
     * @param Side        $worse the hand that comes first where each is to work
     * @param ?TaskSteps  $tasks null: daily tasks are played without their steps
     */
    public function __construct(
        private Side $worse,
        private ?TaskSteps $tasks = null,
    ) {
    }

    public function score(Sequence $sequence, int $seed): Score
    {
        return new Score(
            array_map(
                fn (array $items): Stretch => $this->stretch($items, $seed),
                $sequence->stretches(),
            ),
            $seed,
        );
    }

    /** @param non-empty-list<Item> $items alone, or of one chain */
    public function stretch(array $items, int $seed): Stretch
    {
        $turns = [];
        foreach ($items as $nth => $item) {
            $turns[$nth] = $item->isPause
                ? [[$this->pause($nth, $item)]]
                : (new Turns(
                    $item,
                    $nth,
                    $this->worse,
                    $seed + $nth,
                    steps: $this->tasks?->of($item) ?? [],
                    ofTask: $this->tasks?->taskOf($item)?->picture(),
                ))->all();
        }
        $rounds = max(array_map(count(...), $turns));
        $rests = self::rests($items, $rounds - 1);
        $cues = [];
        foreach ([0, ...$rests] as $round => $rest) {
            if ($round > 0) {
                array_push($cues, ...$this->rest($rest, $items, $turns, $round));
            }
            $before = null;
            foreach ($items as $nth => $item) {
                if (!isset($turns[$nth][$round])) {
                    continue;
                }
                array_push(
                    $cues,
                    ...$this->before($items, $nth, $round, $before),
                    ...$turns[$nth][$round],
                    ...$this->after(
                        $item,
                        $nth,
                        isLast: !isset($turns[$nth][$round + 1]),
                    ),
                );
                $before = $item->isPause ? $before : $nth;
            }
        }

        return new Stretch($items, $cues);
    }

    private function pause(int $nth, Item $item): Played
    {
        return new Played(
            Part::Work,
            CueKind::Rest,
            (float) $item->seconds(),
            new Place($nth),
            aloud: Aloud::Words,
            done: 1,
        );
    }

    /**
     * All rests of a stretch are those of the exercise that rests longest, between its rounds.
     *
     * @param non-empty-list<Item> $items
     *
     * @return list<int> seconds after each round but the last
     */
    private static function rests(array $items, int $gaps): array
    {
        $whole = max(array_map(
            static fn (Item $i): int => $i->isPause ? 0 : $i->restSeconds(),
            $items,
        ));
        $rests = [];
        for ($left = $gaps; $left > 0; --$left) {
            $rest = intdiv($whole, $left);
            $rests[] = $rest;
            $whole -= $rest;
        }

        return $rests;
    }

    /**
     * @param non-empty-list<Item>                    $items
     * @param array<int, list<list<Played>>> $turns
     *
     * @return list<Played> none where nothing rests
     */
    private function rest(int $seconds, array $items, array $turns, int $round): array
    {
        foreach (array_keys($items) as $nth) {
            $next = $turns[$nth][$round][0] ?? null;
            if (null !== $next) {
                $before = $turns[$nth][$round - 1][0]->place->side ?? null;
                $part = 1 === \count($items) && $next->place->side !== $before
                    ? Part::OtherHand
                    : Part::Rest;

                return self::lasting($seconds, $part, $next->place);
            }
        }

        return [];
    }

    /**
     * @param non-empty-list<Item> $items
     * @param ?int                 $from  the exercise that was played before in this round; null: none
     *
     * @return list<Played>
     */
    private function before(array $items, int $nth, int $round, ?int $from): array
    {
        $item = $items[$nth];
        $place = new Place($nth);
        $isNew = 0 === $round;
        $isMoving = $isNew && $nth > 0 && Sequence::changesPosition($items[$nth - 1], $item);
        $toNext = match (true) {
            $item->isPause => $isNew && $nth > 0 ? Limits::BETWEEN_SECONDS : 0,
            null === $from => 0,
            default => $items[$from]->rung->walk->flow->secondsToNext(),
        };

        return [
            ...self::lasting($isMoving ? Limits::POSTURE_CHANGE_SECONDS : 0, Part::Position, $place),
            ...self::lasting($toNext, Part::GoOn, $place),
            ...($isNew && !$item->isPause ? [self::setUp($item, $place)] : []),
        ];
    }

    private static function setUp(Item $item, Place $place): Played
    {
        return new Played(
            Part::SetUp,
            CueKind::Rest,
            (float) (0 === $place->item ? Rung::SET_UP_SECONDS : Item::SET_UP_IN_CHAIN),
            $place,
            aloud: Aloud::Words,
            beat: Tempo::of($item),
        );
    }

    /** @return list<Played> one, or none that would take no time */
    private static function lasting(int $seconds, Part $part, Place $place): array
    {
        return 0 === $seconds ? [] : [
            new Played($part, CueKind::Rest, (float) $seconds, $place, aloud: Aloud::Words),
        ];
    }

    /** @return list<Played> */
    private function after(Item $item, int $nth, bool $isLast): array
    {
        $seconds = $isLast && !$item->isPause ? $item->dose->tailSeconds : 0;

        return null !== $item->rung->walk->calls || null !== $item->rung->walk->beat
            ? self::oneBreath($seconds, new Place($nth))
            : self::lasting($seconds, Part::Tail, new Place($nth));
    }

    /** @return list<Played> out twice as long as in; none that would take no time */
    private static function oneBreath(int $seconds, Place $place): array
    {
        $in = $seconds / 3;

        return 0 === $seconds ? [] : [
            new Played(
                Part::Tail,
                CueKind::BreatheIn,
                $in,
                $place,
                aloud: Aloud::Words,
            ),
            new Played(
                Part::Tail,
                CueKind::BreatheOut,
                $seconds - $in,
                $place,
                aloud: Aloud::Words,
            ),
        ];
    }
}
