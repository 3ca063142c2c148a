<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Cue\Cue;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Cue\WalkKind;

/** How much is said: all of it twice, then the number, then a tick. A breath is never counted. */
final readonly class Voice
{
    private const NUMBER_FROM = 3;
    private const TICK_FROM = 5;

    public function __construct(
        private Walk $walk,
        private int $repetitions,
    ) {
    }

    /**
     * @param int  $repetition from 1
     * @param bool $closes     it is the last cue of its repetition
     * @param bool $isLast     of the last repetition of the last unit
     */
    public function of(Cue $cue, int $repetition, bool $closes, bool $isLast): Aloud
    {
        if (\in_array($cue->kind, [CueKind::Call, CueKind::Shape], true)) {
            return Aloud::Words;
        }
        $isEarly = $repetition < self::NUMBER_FROM;
        if ($this->walk->isQuiet || $this->isABreath($cue)) {
            return $isEarly ? Aloud::Words : Aloud::Nothing;
        }
        $counts = $closes && 1 < $this->repetitions && !$this->walk->kind->isCourse();

        return match (true) {
            $counts && $isLast => Aloud::LastOne,
            $isEarly => $counts && $repetition > 1 ? Aloud::WordsAndNumber : Aloud::Words,
            !$counts => Aloud::Nothing,
            $repetition < self::TICK_FROM => Aloud::Number,
            default => Aloud::Tick,
        };
    }

    public function countsHold(Cue $cue, float $seconds): bool
    {
        return CueKind::Hold === $cue->kind && $seconds >= 2.0 && !$this->walk->isQuiet;
    }

    private function isABreath(Cue $cue): bool
    {
        return WalkKind::Breath === $this->walk->kind
            || \in_array($cue->kind, [CueKind::BreatheIn, CueKind::BreatheOut], true);
    }
}
