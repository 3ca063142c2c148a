<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Content\Format\ReadingFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Progress\SkipReason;
use Random\Randomizer;

/** A made-up client with a life of their own, as a file of the demonstration clinic tells it. */
final readonly class Story
{
    /** Share of the days left out of which somebody says why. */
    public const TOLD = 0.6;
    private const MOST_CREPT = 3;
    private const CREEPS_EVERY = 4;

    /**
     * @param non-empty-list<Condition> $conditions
     * @param non-empty-list<Side>      $affected
     * @param list<Side>                $unaffected
     * @param array<string, int>        $goals
     * @param ?list<string>             $materials
     * @param list<string>              $signed     `rung|side` that the helper is signed for
     * @param int                       $ends       days before today; what comes after is told by hand
     * @param list<Reading>             $found      of every assessment
     */
    private function __construct(
        private Node $practice,
        public array $conditions,
        public array $affected,
        public array $unaffected,
        public int $daysPerWeek,
        public int $minutes,
        public array $goals,
        public ?array $materials,
        public bool $hasHelper,
        public array $signed,
        public float $adherence,
        public float $learns,
        public float $tires,
        public int $usualPain,
        public float $silence,
        public int $visitEvery,
        public int $ends,
        public \DateTimeImmutable $begin,
        private array $found,
    ) {
    }

    /** @param \DateTimeImmutable $today on which the story ends */
    public static function read(Node $story, Catalogue $catalogue, \DateTimeImmutable $today): self
    {
        $client = $story->get('client');
        $practice = $story->get('practice');
        $conditions = $client->get('conditions')->enums(Condition::class);
        $affected = $client->get('affected')->enums(Side::class);
        \assert([] !== $conditions && [] !== $affected);

        return new self(
            $practice,
            $conditions,
            $affected,
            $client->get('unaffected')->enums(Side::class),
            daysPerWeek: $client->get('days')->int(),
            minutes: $client->get('minutes')->int(),
            goals: array_map(
                static fn (Node $n): int => $n->int(),
                $client->get('goals')->map(),
            ),
            materials: $client->get('materials')->strings(),
            hasHelper: '' !== $client->get('helper')->string(),
            signed: $story->optional('signed')?->strings() ?? [],
            adherence: $practice->get('adherence')->float(),
            learns: $practice->get('learns')->float(),
            tires: $practice->get('tires')->float(),
            usualPain: $practice->get('usual_pain')->int(),
            silence: $practice->get('silence')->float(),
            visitEvery: $practice->get('visit_every')->int(),
            ends: $ends = $practice->optional('ends')?->int() ?? 0,
            begin: $today->modify('-'.(7 * $practice->get('weeks')->int() + $ends).' days'),
            found: self::found($story, $catalogue, $today),
        );
    }

    public function days(): int
    {
        return 7 * $this->practice->get('weeks')->int();
    }

    public function seed(): int
    {
        return $this->practice->get('seed')->int();
    }

    /** The newest of each that was found by a day; it counts as looked at again then. */
    public function readings(\DateTimeImmutable $lookedAt): Readings
    {
        $newest = [];
        foreach ($this->found as $reading) {
            if ($reading->on <= $lookedAt) {
                $newest[implode('|', [
                    $reading->code,
                    $reading->side->value ?? '',
                    $reading->mode->value ?? '',
                    $reading->argument ?? '',
                ])] = new Reading(
                    $reading->code,
                    $reading->side,
                    $reading->mode,
                    $reading->argument,
                    value: $reading->value,
                    on: $lookedAt,
                );
            }
        }

        return new Readings(array_values($newest));
    }

    public function painOn(int $day): int
    {
        $from = $this->practice->optional('creeps_from')?->int() ?? \PHP_INT_MAX;

        return min(
            $this->usualPain + self::MOST_CREPT,
            $this->usualPain + intdiv(
                max(0, $day - $from),
                self::CREEPS_EVERY,
            ),
        );
    }

    public function isAway(int $day): bool
    {
        foreach ($this->practice->get('away')->items() as $span) {
            [$from, $until] = $span->items();
            if ($day >= $from->int() && $day <= $until->int()) {
                return true;
            }
        }

        return false;
    }

    public function reason(int $day, Randomizer $chance): SkipReason
    {
        if ($this->isAway($day)) {
            return $this->practice->get('away_reason')->enum(SkipReason::class);
        }
        $reasons = $this->practice->get('reasons')->enums(SkipReason::class);

        return $reasons[$chance->getInt(
            0,
            \count($reasons) - 1,
        )];
    }

    public function mishap(int $day): ?string
    {
        foreach ($this->practice->get('mishaps')->items() as $mishap) {
            if ($mishap->get('day')->int() === $day) {
                return $mishap->get('what')->string();
            }
        }

        return null;
    }

    /** @return list<Reading> */
    private static function found(Node $story, Catalogue $catalogue, \DateTimeImmutable $today): array
    {
        $format = new ReadingFormat($catalogue);
        $found = [];
        foreach ($story->get('assessments')->items() as $assessment) {
            $day = $today->modify('-'.$assessment->get('days_ago')->int().' days');
            array_push($found, ...$format->all($assessment, $day));
        }

        return $found;
    }
}
