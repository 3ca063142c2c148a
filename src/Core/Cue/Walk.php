<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** How an exercise is gone through, said aloud, counted and stopped. */
final readonly class Walk
{
    /**
     * @param list<string>        $units      in order: a digit, `index-middle` for a space, `index.2` for a joint, a
     *     hand shape, or words
     * @param ?UnitOrder          $order      null: one unit
     * @param bool                $alternates repetition by repetition the other side leads
     * @param list<string>        $otherHand  units of the second hand, where they differ
     * @param ?array{int, int}    $minutes    least and most that something is worn
     * @param non-empty-list<Cue> $cues       of one repetition of one unit
     * @param string              $danger     when to stop, beside what is always a reason
     * @param bool                $isQuiet    never counted aloud
     * @param int                 $laterSeconds taken after the sitting
     * @param Legs                $legs         what they do meanwhile
     * @param Gaze                $looks        where one looks meanwhile
     */
    public function __construct(
        public WalkKind $kind,
        public array $units,
        public ?UnitOrder $order,
        public bool $alternates,
        public array $otherHand,
        public ?Beat $beat,
        public ?Calls $calls,
        public ?array $minutes,
        public array $cues,
        public CountPlan $count,
        public Flow $flow,
        public string $danger,
        public bool $isQuiet,
        public int $laterSeconds,
        public Legs $legs = new Legs(),
        public Gaze $looks = Gaze::Screen,
    ) {
    }

    /** Of an exercise that says no more than its dose. */
    public static function plain(int $moveSeconds, bool $holds, string $danger): self
    {
        $cues = [new Cue(CueKind::Move, (float) $moveSeconds, 0.0, '')];

        return new self(
            WalkKind::Whole,
            [],
            null,
            false,
            otherHand: [],
            beat: null,
            calls: null,
            minutes: null,
            cues: $holds ? [...$cues, new Cue(CueKind::Hold, 0.0, 1.0, '')] : $cues,
            count: new CountPlan(Counted::Repetitions, [], []),
            flow: Flow::Log,
            danger: $danger,
            isQuiet: false,
            laterSeconds: 0,
        );
    }

    /** Seconds of one repetition of one unit, without its hold. */
    public function moveSeconds(): float
    {
        return array_sum(array_map(static fn (Cue $c): float => $c->seconds, $this->cues));
    }

    /** Of the dose's hold, all or nothing. */
    public function holdShare(): float
    {
        return array_sum(array_map(static fn (Cue $c): float => $c->holdShare, $this->cues));
    }
}
