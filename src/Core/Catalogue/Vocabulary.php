<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Measure\MeasureKinds;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\TakenAt;
use HandGarden\Core\Measure\Unit;

/** Every word that conditions may use, with the question or the way of taking behind it. */
final readonly class Vocabulary
{
    /** What log, plan and people say; those of the running sitting are false until it runs. */
    private const OTHER = [
        'has',
        'supervised',
        'at_home',
        'helper_here',
        'helper_signed',
        'tryout',
        'met',
        'stands',
        'chosen',
        'release_trained',
        'gate_passed',
        'tone_dropped_now',
        'done_today',
        'in_routine',
        ...self::COMPUTED,
        'always',
    ];
    /** Worked out from several measures together. */
    public const COMPUTED = ['soft_hand', 'opens_with_help', 'grip_weak', 'taps_slow', 'injected_2_12w'];
    private const OF_A_HAND = ['tryout', 'met', 'stands', 'chosen', 'helper_signed'];

    private const SECONDS_OF_A_TRYOUT = 45;
    private const SECONDS_OF_AN_ANSWER = 5;

    /** @var array<string, Observation> */
    private array $observations;

    /** @var array<string, bool> whether a fact is of one hand, by its code; rules ask thousands of times a page */
    private array $sided;

    /** @var array<string, true> by code of the reading */
    private array $shortLived;

    /**
     * @param list<CheckList>        $lists
     * @param list<StrongerEvidence> $evidence
     * @param array<string, Caution> $gates
     */
    public function __construct(
        public MeasureKinds $kinds,
        public array $lists,
        public array $evidence,
        public array $gates,
    ) {
        $byCode = $shortLived = [];
        $sided = array_fill_keys(
            [...array_keys($kinds->derived), ...self::OF_A_HAND, ...self::COMPUTED],
            true,
        );
        foreach ($lists as $list) {
            foreach ($list->observations as $observation) {
                $byCode[$observation->code] = $observation;
                $sided[$observation->code] = $observation->sided;
                $shortLived += $observation->isShortLived ? [$observation->code => true] : [];
            }
        }
        foreach ($kinds->all() as $kind) {
            $sided += array_fill_keys(array_column($kind->answers, 'code'), $kind->sided);
            $shortLived += $kind->isShortLived ? [$kind->code => true] : [];
        }
        $this->observations = $byCode;
        $this->sided = $sided;
        $this->shortLived = $shortLived;
    }

    /** @return list<string> every word that a condition may use */
    public function codes(): array
    {
        return [
            ...array_keys($this->kinds->numbers),
            ...array_keys($this->kinds->derived),
            ...array_keys($this->observations),
            ...self::OTHER,
        ];
    }

    public function observation(string $code): ?Observation
    {
        return $this->observations[$code] ?? null;
    }

    /** Facts about the body or about two hands meeting have no side. */
    public function isSided(string $code): bool
    {
        return $this->sided[$code] ?? false;
    }

    /** Whether there is something to measure, to look at or to try; other words follow from the plan and the people. */
    public function isTaken(string $code): bool
    {
        return 'tryout' === $code || !\in_array($code, self::OTHER, true);
    }

    /** Whether it changes within days, so that a reading counts for less long. */
    public function isShortLived(string $readingCode): bool
    {
        return isset($this->shortLived[$readingCode]);
    }

    public function secondsToTake(string $code): int
    {
        return $this->observations[$code]->secondsToTake
            ?? $this->kinds->behind($code)->secondsToTake
            ?? $this->kinds->derived[$code]->secondsToTake
            ?? ('tryout' === $code ? self::SECONDS_OF_A_TRYOUT : self::SECONDS_OF_AN_ANSWER);
    }

    /** A short name for reasons and lists. */
    public function label(string $code): string
    {
        return $this->observations[$code]->question
            ?? $this->kinds->behind($code)->label
            ?? $this->kinds->derived[$code]->label
            ?? str_replace('_', ' ', $code);
    }

    /** By itself or moved, where conditions ask for one of the two. */
    public function modeOf(string $code): ?Mode
    {
        return ($this->kinds->numbers[$code] ?? null)?->mode;
    }

    public function unitOf(string $code): ?Unit
    {
        return $this->kinds->behind($code)->unit ?? $this->kinds->derived[$code]->unit ?? null;
    }

    /** Its argument is the angle of the wrist at which it is taken. */
    public function isByWristAngle(string $code): bool
    {
        return isset($this->kinds->derived[$code])
            || TakenAt::WristAngle === $this->kinds->behind($code)?->takenAt;
    }
}
