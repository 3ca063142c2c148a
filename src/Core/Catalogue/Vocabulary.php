<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Measure\MeasureKinds;

/** Every word that conditions may use, with the question or the way of taking behind it. */
final readonly class Vocabulary
{
    private const DERIVED = [
        'opening_active_pct' => 'Opens by itself',
        'opening_passive_pct' => 'Can be opened',
        'release_angle_deg' => 'Lets go at a wrist angle of',
    ];
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
    ];

    public MeasureKinds $kinds;

    /** @var array<string, Observation> */
    private array $observations;

    /** @var array<string, NumberFact> */
    private array $numbers;

    /**
     * @param list<CheckList>        $lists
     * @param list<StrongerEvidence> $evidence
     * @param array<string, Caution> $gates
     * @param array<string, string>  $tasks labels of the daily tasks, by key
     */
    public function __construct(
        public array $lists,
        public array $evidence,
        public array $gates,
        private array $tasks = [],
    ) {
        $this->kinds = MeasureKinds::standard($tasks);
        $this->observations = self::index($lists);
        $this->numbers = NumberFact::all();
    }

    /**
     * @return array{list<CheckList>, list<StrongerEvidence>, array<string, Caution>, array<string, string>} what
     *    cannot be made again from the code
     */
    public function __serialize(): array
    {
        return [$this->lists, $this->evidence, $this->gates, $this->tasks];
    }

    /** @param array{list<CheckList>, list<StrongerEvidence>, array<string, Caution>, array<string, string>} $kept */
    public function __unserialize(array $kept): void
    {
        [$this->lists, $this->evidence, $this->gates, $this->tasks] = $kept;
        $this->kinds = MeasureKinds::standard($this->tasks);
        $this->observations = self::index($this->lists);
        $this->numbers = NumberFact::all();
    }

    /**
     * @param list<CheckList> $lists
     *
     * @return list<string>
     */
    public static function codesOf(array $lists): array
    {
        return [
            ...array_keys(NumberFact::all()),
            ...array_keys(self::DERIVED),
            ...array_keys(self::index($lists)),
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
        if (isset($this->observations[$code])) {
            return $this->observations[$code]->sided;
        }
        $number = $this->numbers[$code] ?? null;

        return null === $number
            ? isset(self::DERIVED[$code])
                || \in_array($code, ['tryout', 'met', 'stands', 'chosen'], true)
            : $this->kinds->find($number->readingCode)->sided ?? true;
    }

    /** Whether there is something to measure, to look at or to try; other words follow from the plan and the people. */
    public function isTaken(string $code): bool
    {
        return 'tryout' === $code || !\in_array($code, self::OTHER, true);
    }

    public function secondsToTake(string $code): int
    {
        $number = $this->numbers[$code] ?? null;

        return match (true) {
            isset($this->observations[$code]) => $this->observations[$code]->secondsToTake,
            null !== $number => $this->kinds->find($number->readingCode)->secondsToTake ?? 15,
            'tryout' === $code => 45,
            'opening_passive_pct' === $code => 30,
            isset(self::DERIVED[$code]) => 20,
            default => 5,
        };
    }

    /** A short name for reasons and lists. */
    public function label(string $code): string
    {
        $number = $this->numbers[$code] ?? null;
        $suffix = match (true) {
            str_contains($code, '_passive_') => ', moved',
            str_contains($code, '_active_') => ', by itself',
            default => '',
        };

        return match (true) {
            isset($this->observations[$code]) => $this->observations[$code]->question,
            null !== $number => ($this->kinds->find($number->readingCode)->label ?? $code).$suffix,
            isset(self::DERIVED[$code]) => self::DERIVED[$code],
            default => str_replace('_', ' ', $code),
        };
    }

    /** Its argument is the angle of the wrist at which it is taken. */
    public function isByWristAngle(string $code): bool
    {
        return str_starts_with($code, 'opening_') || 'release_tries_n' === $code;
    }

    public function unitSign(string $code): string
    {
        return match (true) {
            str_ends_with($code, '_deg') => '°',
            str_ends_with($code, '_pct') => ' %',
            str_ends_with($code, '_s') => ' s',
            default => '',
        };
    }

    /**
     * @param list<CheckList> $lists
     *
     * @return array<string, Observation>
     */
    private static function index(array $lists): array
    {
        $byCode = [];
        foreach ($lists as $list) {
            foreach ($list->observations as $observation) {
                $byCode[$observation->code] = $observation;
            }
        }

        return $byCode;
    }
}
