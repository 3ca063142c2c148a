<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\Injection;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Somebody who does not exist: what is found of them, and what nobody sees. Ability is a share of a ladder's whole
 * way, from its easiest exercise at the least dose to its hardest at the most.
 */
final class MadeUpClient
{
    public readonly Trouble $trouble;

    public readonly Fate $fate;

    public readonly Side $side;

    /** @var non-empty-list<Condition> */
    public readonly array $conditions;

    public readonly int $daysPerWeek;

    public readonly int $minutes;

    /** Share of the planned sittings that are done. */
    public readonly float $adherence;

    public readonly float $learns;

    public readonly float $tires;

    /** Pain that is there anyway. */
    public readonly int $usualPain;

    /** Share of the questions after an item that stay without an answer. */
    public readonly float $silence;

    public readonly \DateTimeImmutable $begin;

    public readonly Randomizer $chance;

    /** @var list<Reading> as they were found on the first day */
    private readonly array $found;

    /** @var array<string, float> by ladder */
    private array $ability = [];

    public function __construct(
        public readonly int $seed,
        private readonly ?Story $story = null,
    ) {
        $random = new RandomClient($seed, wellKnown: true);
        $this->chance = new Randomizer(
            new Mt19937($seed + 77_000),
        );
        $this->trouble = null === $story ? Trouble::of($seed) : Trouble::None;
        $this->fate = null === $story ? Fate::of($seed) : Fate::Steady;
        $this->side = $story->affected[0] ?? $random->side;
        $this->conditions = $story->conditions ?? match ($this->trouble) {
            Trouble::Dementia => [...$random->conditions, Condition::AdvancedDementia],
            Trouble::Injected => [Condition::Stroke, Condition::Tremor],
            default => $random->conditions,
        };
        $usualDays = [3, 4, 5, 6][$this->chance->getInt(
            0,
            3,
        )];
        $this->daysPerWeek = $story->daysPerWeek ?? $this->trouble->daysPerWeek($usualDays);
        $minutes = [10, 15, 20][$this->chance->getInt(
            0,
            2,
        )];
        $this->minutes = $story->minutes ?? $minutes;
        $adherence = 0.01 * $this->chance->getInt(45, 100);
        $this->adherence = $story->adherence ?? $adherence;
        $learns = 0.001 * $this->chance->getInt(0, 8);
        $this->learns = $story->learns ?? $learns;
        $tires = 0.1 * $this->chance->getInt(2, 12);
        $this->tires = $story->tires ?? $tires;
        $usualPain = Trouble::ConstantPain === $this->trouble
            ? 5
            : $this->chance->getInt(
                0,
                2,
            );
        $this->usualPain = $story->usualPain ?? $usualPain;
        $silence = 0.01 * $this->chance->getInt(0, 25);
        $this->silence = $story->silence ?? $silence;
        $this->begin = $story->begin ?? $random->today;
        $this->found = [
            ...$random->readings,
            ...$this->troubled(),
        ];
    }

    /** Pain before the start on a day. */
    public function painOn(int $day): int
    {
        return $this->story?->painOn($day) ?? $this->fate->painOn(
            $day,
            $this->usualPain,
        );
    }

    /** Whether nothing is done on a day, whatever is planned. */
    public function isAway(int $day): bool
    {
        return true === $this->story?->isAway($day);
    }

    /** Why a day is left out, where that is told; null: nobody says anything. */
    public function reasonToSkip(int $day): ?SkipReason
    {
        return null !== $this->story && $this->happens(Story::TOLD)
            ? $this->story->reason($day, $this->chance)
            : null;
    }

    public function mishap(int $day): ?string
    {
        return $this->story?->mishap($day);
    }

    public function visitEvery(): int
    {
        return $this->story->visitEvery ?? $this->trouble->visitEvery();
    }

    public function goals(Catalogue $catalogue): Goals
    {
        return null === $this->story
            ? Goals::one($catalogue->goals[$this->seed % \count($catalogue->goals)])
            : Goals::chosen(
                $catalogue->goals,
                $this->story->goals,
            );
    }

    /** @param list<string> $signed `rung|side` */
    public function setting(array $signed, bool $isVisit): Setting
    {
        return new Setting(
            [] !== $signed || true === $this->story?->hasHelper,
            [...$signed, ...$this->story->signed ?? []],
            supervised: $isVisit,
            atHome: !$isVisit,
            materials: $this->story?->materials,
        );
    }

    /** @return list<Reading> */
    private function troubled(): array
    {
        $readings = [];
        foreach ($this->trouble->findings() as [$code, $part, $value]) {
            [$kind, $mode] = explode(':', $code) + [1 => ''];
            $isSided = 'opening' === $kind || Cases::catalogue()->vocabulary->isSided($kind);
            $readings[] = new Reading(
                $kind,
                $isSided ? $this->side : null,
                Mode::tryFrom($mode),
                $part,
                value: $value,
                on: $this->begin,
            );
        }

        return $readings;
    }

    /** Pain that a therapist has noted as usual. */
    public function notedPain(): int
    {
        return Trouble::ConstantPain === $this->trouble && 0 === intdiv(
            $this->seed,
            14,
        ) % 2
            ? $this->usualPain
            : 0;
    }

    /** @return non-empty-list<Side> */
    public function affected(): array
    {
        if (null !== $this->story) {
            return $this->story->affected;
        }

        return Trouble::BothHands === $this->trouble ? [$this->side, $this->side->opposite()] : [$this->side];
    }

    public function injection(): ?Injection
    {
        return Trouble::Injected === $this->trouble
            ? new Injection(
                $this->begin->modify('-10 days'),
                [$this->side],
            )
            : null;
    }

    /** What was found, as if all of it was looked at again on the day. */
    public function readings(\DateTimeImmutable $lookedAt): Readings
    {
        if (null !== $this->story) {
            return $this->story->readings($lookedAt);
        }

        return new Readings(array_map(
            static fn (Reading $r): Reading => new Reading(
                $r->code,
                $r->side,
                $r->mode,
                $r->argument,
                value: $r->value,
                on: $lookedAt,
            ),
            $this->found,
        ));
    }

    /** The newest of what was found; null: nobody looked. */
    public function truth(
        string $code,
        ?string $argument,
        Side $side,
    ): float|bool|string|null {
        $isSided = Cases::catalogue()->vocabulary->isSided($code);

        return $this->readings($this->begin)->newest(
            $code,
            $isSided ? $side : null,
            null,
            $argument,
        )?->value;
    }

    public function facts(
        \DateTimeImmutable $lookedAt,
        Decided $decided,
        Setting $setting,
        ?Mutant $mutant,
    ): ClientFacts {
        $screening = [];
        foreach (Cases::catalogue()->screening->questions as $question) {
            $screening[$question->id] = [Answer::No, $lookedAt];
        }
        $readings = $this->readings($lookedAt);
        if (null !== $mutant) {
            $readings = $readings->where(
                static fn (Reading $r): bool => !$mutant->hides($r->code),
            );
        }
        $affected = Mutant::S3 === $mutant ? [$this->side, $this->side->opposite()] : $this->affected();

        return new ClientFacts(
            new People(
                $this->conditions,
                $affected,
                $this->story->unaffected ?? (1 === \count(
                    $this->affected(),
                ) ? [$this->side->opposite()] : []),
                Side::Right,
            ),
            $setting,
            new Measured(
                $readings,
                new Screening(Cases::catalogue()->screening, $screening),
                Mutant::S8 === $mutant ? null : $this->injection(),
            ),
            $decided,
        );
    }

    public function abilityOn(string $ladder, float $atFirst): float
    {
        return $this->ability[$ladder] ??= min(
            1.0,
            $atFirst + 0.01 * $this->chance->getInt(2, 25),
        );
    }

    public function practised(string $ladder): void
    {
        $this->ability[$ladder] = min(
            1.0,
            ($this->ability[$ladder] ?? 0.0) + $this->learns,
        );
    }

    public function forgets(): void
    {
        foreach ($this->ability as $ladder => $ability) {
            $this->ability[$ladder] = max(
                0.0,
                $ability - 0.0005,
            );
        }
    }

    public function happens(float $share): bool
    {
        return $this->chance->getInt(0, 9_999) < (int) round(10_000 * $share);
    }
}
