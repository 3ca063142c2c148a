<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Weights;

/** How a sitting is made, choice after choice: the hard rules, what is left, and how much it could become at most. */
final class Making
{
    private const WHOLE = Step::WARM_UP | Step::CLOSING | Step::WORK;

    private readonly int $effortBudget;

    private readonly int $pointsPerMove;

    /** @var array<int, int> the last stage with an item of this part of a sitting */
    private readonly array $lastOf;

    /** @var array{int, int, int} seconds, effort and seconds by itself that a closing item takes at least */
    private readonly array $closing;

    /** @var array{int, int} seconds and effort that are left for something later */
    private array $reserved = [0, 0];

    /** @var int bits of what is taken to come in */
    private int $in = 0;

    /** @var int bits of what is taken to stay out */
    private int $out = 0;

    public readonly Prices $prices;

    /** @param list<Stage> $stages */
    public function __construct(
        public readonly array $stages,
        private readonly Limits $limits,
        private readonly ?Step $pause,
        Weights $weights,
    ) {
        [$this->lastOf, $this->closing] = self::frame($stages);
        $this->effortBudget = (int) floor(60.0 * $limits->effortBudget() + 1e-6);
        $this->pointsPerMove = $weights->position;
        $this->prices = new Prices(
            $stages,
            $weights,
            $limits->seconds() + Limits::BETWEEN_SECONDS,
            $this->effortBudget,
            homeItems: 2 * $limits->homeItems,
        );
    }

    /**
     * Of what several groups could bring: from now on these come in, and those do not.
     *
     * @param int $in  bits
     * @param int $out bits
     */
    public function assume(int $in, int $out): void
    {
        $this->prices->assume($in, $out);
        $this->in = $in;
        $this->out = $out;
    }

    /** From now on so much is left for something later. */
    public function reserve(?Choice $later): void
    {
        $this->reserved = null === $later
            ? [0, 0]
            : [$later->seconds + Limits::POSTURE_CHANGE_SECONDS, $later->effort];
    }

    /** It begins, works and closes, and brings what is taken to come in. */
    public function isWhole(State $state): bool
    {
        return self::WHOLE === $state->parts && 0 === ($this->in & ~$state->keys);
    }

    /**
     * The most that this can become from a stage on; as soon as it shows that nothing is beaten, a number that beats
     * nothing.
     */
    public function most(int $at, State $state, int $toBeat): int
    {
        foreach ($this->lastOf as $part => $last) {
            if ($at > $last && 0 === ($state->parts & $part)) {
                return \PHP_INT_MIN; // no warm-up, no closing or no work can come any more
            }
        }

        return $this->prices->most($at, $state, $toBeat, ...$this->left($state));
    }

    /** Prices for a place where the search is held up. */
    public function learn(int $at, State $state, int $toBeat): void
    {
        $this->prices->learn($at, $state, $toBeat, ...$this->left($state));
    }

    /** @return array{int, int, int} seconds, effort and halves of items that are left */
    public function left(State $state): array
    {
        return [
            $this->limits->seconds() + (
                0 === $state->posture ? Limits::BETWEEN_SECONDS : 0
            ) - $state->seconds,
            $this->effortBudget - $state->effort,
            2 * $this->limits->homeItems - $state->homeHalves,
        ];
    }

    /** The sitting with these items after it, or the hard rule that is against it. */
    public function with(State $state, Choice $choice): State|Misfit
    {
        if (0 !== ($choice->needs & ~$state->gives)) {
            return Misfit::Unprepared;
        }
        if (0 !== ($choice->shared & ($this->out | $state->keys))) {
            return Misfit::Taken;
        }
        $isClosed = 0 !== (($state->parts | $choice->parts) & Step::CLOSING);
        $mostSeconds = $this->limits->seconds() - ($isClosed ? 0 : $this->closing[0]) - $this->reserved[0];
        $mostEffort = $this->effortBudget - ($isClosed ? 0 : $this->closing[1]) - $this->reserved[1];
        $then = $state->beginning($choice);
        foreach ($choice->steps as $step) {
            if (0 !== ($then->keys & $step->key)) {
                return Misfit::Taken;
            }
            if (0 !== ($step->needs & ~$then->gives)) {
                return Misfit::Unprepared;
            }
            if (0 !== ($then->heavyBefore & $then->heavyLast & $step->heavy)) {
                if (null === $this->pause) {
                    return Misfit::Heavy;
                }
                $then->take(
                    $this->pause,
                    Limits::BETWEEN_SECONDS,
                    Limits::POSTURE_CHANGE_SECONDS,
                    $this->pointsPerMove,
                );
            }
            $then->take(
                $step,
                Limits::BETWEEN_SECONDS,
                Limits::POSTURE_CHANGE_SECONDS,
                $this->pointsPerMove,
            );
            if ($then->seconds > $mostSeconds || $then->effort > $mostEffort) {
                return Misfit::Time;
            }
            $then->count($step);
        }
        if ($then->homeItems > $this->limits->homeItems) {
            return Misfit::Items;
        }
        $frame = $then->frame + ($isClosed ? 0 : $this->closing[2]);
        if ($then->frameItems + ($isClosed ? 0 : 1) > 2 && $frame > $this->limits->frameSeconds()) {
            return Misfit::Frame;
        }
        $then->extras = $this->prices->extrasWith($state, $choice);

        return $then;
    }

    /**
     * @param list<Stage> $stages
     *
     * @return array{array<int, int>, array{int, int, int}}
     */
    private static function frame(array $stages): array
    {
        $lastOf = [Step::WARM_UP => -1, Step::CLOSING => -1, Step::WORK => -1];
        $seconds = $effort = $alone = \PHP_INT_MAX;
        foreach ($stages as $at => $stage) {
            foreach ($stage->choices as $choice) {
                foreach ($lastOf as $part => $last) {
                    $lastOf[$part] = 0 !== ($choice->parts & $part) ? $at : $last;
                }
                if (0 !== ($choice->parts & Step::CLOSING)) {
                    $seconds = min($seconds, $choice->seconds);
                    $effort = min($effort, $choice->effort);
                    $alone = min(
                        $alone,
                        ...array_map(static fn (Step $s): int => $s->alone, $choice->steps),
                    );
                }
            }
        }

        return [$lastOf, \PHP_INT_MAX === $seconds ? [0, 0, 0] : [$seconds, $effort, $alone]];
    }
}
