<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\LadderWalk;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Screening\Answer;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** Promises that hold for every client, tried on clients made by seed. */
final class PlacementPropertiesTest extends TestCase
{
    /** Enough seeds for every ladder to be reached; each one places some fifty ladders many times. */
    private const CLIENTS = 36;

    public function testAnAddedBlockNeverRaisesAStandingRung(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed);
            $before = $this->place($client->facts());
            foreach (
                [
                    'curls' => null,
                    'clamps_on_load' => null,
                    'painful' => 'wrist',
                    'hard_end' => 'fingers',
                    'frail_skin' => null,
                ] as $code => $part
            ) {
                $this->assertNowhereHigher(
                    $before,
                    $this->place(
                        $client->facts(
                            [new Reading(
                                $code,
                                $client->side,
                                null,
                                $part,
                                value: true,
                                on: $client->today,
                            )],
                        ),
                    ),
                    "seed $seed, $code",
                );
            }
            foreach (
                ['shoulder', 'recent_injury', 'blood_pressure', 'new_stroke_signs'] as $question
            ) {
                $this->assertNowhereHigher(
                    $before,
                    $this->place($client->facts([], [$question => Answer::Yes])),
                    "seed $seed, $question",
                );
                $this->assertNowhereHigher(
                    $before,
                    $this->place($client->facts([], [$question => Answer::NotAsked])),
                    "seed $seed, $question not asked",
                );
            }
        }
    }

    /**
     * A clean try-out settles what is unknown below it, so that losing a false fact may let it speak; never more
     * than that.
     */
    public function testALostFactNeverRaisesAStandingRungBeyondACleanTryOut(): void
    {
        $settledElsewhere = array_map(
            static fn ($evidence): string => $evidence->code,
            Cases::catalogue()->vocabulary->evidence,
        );
        // what bars by what an exercise does speaks of what was found; never looked for, it keeps nothing out
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rung->fit->bars as $bar) {
                foreach ($bar->blocksWhile?->atoms() ?? [] as $atom) {
                    $settledElsewhere[] = $atom->code;
                }
            }
        }
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed);
            $before = $this->place($client->facts());
            for ($lost = $seed % 7; $lost < \count($client->readings); $lost += 23) {
                $reading = $client->readings[$lost];
                if (
                    null !== $client->facts()->measured->screening->fact(
                        $reading->code,
                        $reading->argument,
                        $client->today,
                    )
                    || \in_array($reading->code, $settledElsewhere, true)
                ) {
                    continue; // screening or stronger evidence answers the same question again
                }
                $fewer = clone $client;
                $fewer->readings = array_values(
                    array_filter(
                        $client->readings,
                        static fn (int $i): bool => $i !== $lost,
                        \ARRAY_FILTER_USE_KEY,
                    ),
                );
                $this->assertNowhereHigher(
                    $before,
                    $this->place($fewer->facts()),
                    \sprintf('seed %d without %s', $seed, $client->readings[$lost]->code),
                    new Readings($fewer->readings),
                );
            }
        }
    }

    public function testBetterAbilityNeverLowersAStandingRung(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed);
            $before = $this->place($client->facts());
            foreach (RandomClient::LADDERS as $code => $values) {
                $now = $client->newest($code);
                if (
                    null !== $now
                    && $now !== $values[4]
                    && 'opening:passive' !== $code // a hand that opens fully and has no tone is a soft one
                    && ($now < $values[4]) === ($values[0] < $values[4])
                ) {
                    $this->assertNowhereHigher(
                        $this->place(
                            $client->facts([$client->number(
                                $code,
                                $client->side,
                                $values[4],
                            )]),
                        ),
                        $before,
                        "seed $seed, better $code",
                    );
                }
            }
        }
    }

    public function testNothingIsInWhileSomethingItAsksForIsUnknown(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed);
            $facts = $client->facts();
            $placements = $this->place($facts);
            $known = (
                new LadderWalk(
                    Cases::catalogue(),
                    $facts,
                    $client->today,
                    static fn (
                        Ladder $ladder,
                        Side $side,
                    ): LadderPlacement => $placements->find(
                        $ladder->key,
                        $side,
                    ) ?? throw new \LogicException(
                        $ladder->key,
                    ),
                )
            )->known;
            foreach ($placements->ladders as $placed) {
                $clean = array_filter(
                    $placed->rungs,
                    static fn ($r): bool => 'clean' === $known->value(
                        'tryout',
                        $r->rung->id,
                        $placed->side,
                    ) || true === $r->rung->fit->settledWhen?->judge(
                        $known->settling(),
                        $placed->side,
                    )->isTrue(),
                );
                foreach ($placed->rungs as $rung) {
                    if (!$rung->isIn()) {
                        continue;
                    }
                    self::assertNotSame(
                        Truth::False,
                        $rung->rung->fit->entry->judge($known, $placed->side)->truth,
                        "seed $seed, {$rung->rung->id}",
                    );
                    if (Truth::Unknown === $rung->rung->fit->entry->judge($known, $placed->side)->truth) {
                        self::assertNotSame(
                            [],
                            $clean,
                            "seed $seed: {$rung->rung->id} is in although unknown, nothing higher was clean or settled",
                        );
                    }
                    foreach ($rung->rung->fit->cautions as $caution) {
                        self::assertContains(
                            $caution->blocksWhile?->judge($known, $placed->side)->truth,
                            [null, Truth::False],
                            "seed $seed, {$rung->rung->id}: {$caution->phrase}",
                        );
                    }
                }
            }
        }
    }

    public function testWithEveryAbilityAClientStandsOnTheTopFittingRung(): void
    {
        foreach (
            [
                Condition::Stroke,
                Condition::BrainInjury,
                Condition::Parkinsons,
                Condition::Tremor,
            ] as $condition
        ) {
            $client = new RandomClient(1);
            $client->conditions = [$condition];
            $client->readings = $this->everyAbility($client);
            $placements = $this->place($client->facts(everythingMet: true));
            foreach ($placements->trained() as $placed) {
                $fitting = $placed->ladder->fittingRungs([$condition]);
                if ([] !== $fitting && LadderKind::Climb === $placed->ladder->kind) {
                    $top = $fitting[array_key_last($fitting)];
                    self::assertSame(
                        $top->id,
                        $placed->standing?->rung->id,
                        $condition->value.', '.$placed->ladder->key.': '.implode(
                            ', ',
                            array_map(
                                static fn ($f): string => (string) $f->atom,
                                $placed->next->findings ?? [],
                            ),
                        ),
                    );
                }
            }
        }
    }

    public function testWithAdvancedDementiaOnlyRungsThatListItAreOffered(): void
    {
        $client = new RandomClient(2);
        $client->conditions = [Condition::Parkinsons, Condition::AdvancedDementia];
        $client->readings = $this->everyAbility($client);
        foreach ($this->place($client->facts())->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                self::assertContains(Condition::AdvancedDementia, $rung->fit->conditions);
            }
        }
    }

    public function testTheSameFactsGiveTheSamePlacement(): void
    {
        $client = new RandomClient(5);

        self::assertSame(
            print_r($this->place($client->facts()), true),
            print_r($this->place($client->facts()), true),
        );
    }

    /** @return list<Reading> */
    private function everyAbility(RandomClient $client): array
    {
        $readings = [];
        foreach (Side::cases() as $side) {
            foreach (RandomClient::LADDERS as $code => $values) {
                $readings[] = $client->number($code, $side, $values[4]);
            }
            foreach (['tone_finger', 'tone_wrist', 'tone_elbow'] as $code) {
                $readings[] = new Reading(
                    $code,
                    $side,
                    null,
                    null,
                    value: 0.0,
                    on: $client->today,
                );
            }
            foreach (Cases::catalogue()->vocabulary->lists as $list) {
                foreach ($list->observations as $observation) {
                    foreach ([] === $observation->parts ? [null] : $observation->parts as $part) {
                        $readings[] = new Reading(
                            $observation->code,
                            $observation->sided ? $side : null,
                            null,
                            $part,
                            value: !$observation->meansTrouble,
                            on: $client->today,
                        );
                    }
                }
            }
            foreach (Cases::catalogue()->rungs() as $rung) {
                $readings[] = new Reading(
                    'tryout',
                    $side,
                    null,
                    $rung->id,
                    value: 'clean',
                    on: $client->today,
                );
            }
        }
        $readings[] = new Reading(
            'commands_n',
            null,
            null,
            null,
            value: 3.0,
            on: $client->today,
        );
        $readings[] = new Reading(
            'arms_out_hold_s',
            null,
            null,
            null,
            value: 30.0,
            on: $client->today,
        );

        return $readings;
    }

    private function place(ClientFacts $facts): Placements
    {
        return (new Placer(Cases::catalogue()))->place(
            $facts,
            new \DateTimeImmutable('2026-11-20', new \DateTimeZone('UTC')),
        );
    }

    private function assertNowhereHigher(
        Placements $limit,
        Placements $other,
        string $why,
        ?Readings $tried = null,
    ): void {
        foreach ($other->ladders as $n => $placed) {
            $allowed = array_map(
                static fn (Rung $r): string => $r->id,
                $limit->ladders[$n]->offered(),
            );
            foreach ($placed->offered() as $rung) {
                if ($placed->ladder->kind->isClimbed()) {
                    $highest = [] === $allowed
                        ? 0
                        : (int) $placed->ladder->positionOf($allowed[array_key_last($allowed)]);
                    foreach ($placed->ladder->rungs as $i => $candidate) {
                        $highest = 'clean' === $tried?->newest(
                            'tryout',
                            $placed->side,
                            null,
                            $candidate->id,
                        )?->value
                            ? max($highest, $i + 1)
                            : $highest;
                    }
                    self::assertLessThanOrEqual(
                        $highest,
                        (int) $placed->ladder->positionOf($rung->id),
                        $why.': '.$placed->ladder->key,
                    );
                } else {
                    self::assertContains(
                        $rung->id,
                        $allowed,
                        $why.': '.$placed->ladder->key,
                    );
                }
            }
        }
        self::assertCount(\count($limit->ladders), $other->ladders);
    }
}
