<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Catalogue\Contact;
use HandGarden\Core\Catalogue\Demands;
use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\Placement\Setting;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an exercise does decides what keeps it out, wherever it stands. */
final class BarsTest extends TestCase
{
    private const CLIENTS = 24;

    /** @return iterable<string, array{string, ArmPart}> name of the part in the question, the part */
    public static function parts(): iterable
    {
        foreach (ArmPart::cases() as $part) {
            yield $part->value => [ArmPart::Thumb === $part ? 'thumb_base' : $part->value, $part];
        }
    }

    #[DataProvider('parts')]
    public function testNothingStretchesLoadsOrPullsAPartThatHurts(string $name, ArmPart $part): void
    {
        $this->assertNoneIn(
            'painful',
            $name,
            static fn (Demands $d): bool => $d->works->doesWith(
                $part,
                WorkKind::Stretches,
                WorkKind::Loads,
                WorkKind::Pulls,
            ),
        );
    }

    public function testAnInjuredPartIsLeftAlone(): void
    {
        foreach ([ArmPart::Elbow, ArmPart::Wrist, ArmPart::Fingers] as $part) {
            $this->assertNoneIn(
                'recent_injury',
                $part->value,
                static fn (Demands $d): bool => $d->works->doesWith($part, ...WorkKind::cases()),
            );
        }
    }

    public function testAPainfulWristStillMovesWithoutLoadAndIsPositioned(): void
    {
        $seen = 0;
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            foreach ($this->inOn($this->placed($seed, 'painful', 'wrist'), $seed) as $rung) {
                $works = $rung->demands->works;
                $seen += $works->doesWith(ArmPart::Wrist, WorkKind::Moves) ? 1 : 0;
            }
        }

        self::assertGreaterThan(10, $seen);
    }

    public function testFrailSkinIsNeitherPulledNorRolledFirmly(): void
    {
        $this->assertNoneIn(
            'frail_skin',
            null,
            static fn (Demands $d): bool => $d->touches(Contact::Traction) || $d->touches(Contact::RollFirm),
        );
    }

    public function testLostFeelingKeepsTheLightRolling(): void
    {
        $light = Cases::catalogue()->rung('textured-ball-hand-roll');
        $keys = array_map(
            static fn ($bar): string => $bar->key,
            $light->fit->bars,
        );

        self::assertTrue($light->demands->touches(Contact::RollLight));
        self::assertNotContains('pulled-or-rolled-firmly', $keys);
    }

    public function testASoftHandIsNotLengthenedAndHasSomethingElse(): void
    {
        $placed = $this->soft(0.0, '2026-11-20');
        $side = $placed->ladders[0]->side;
        foreach ($placed->ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                if (RungState::In === $rung->state) {
                    self::assertFalse($rung->rung->plays(RungPart::EasesWristBack), $rung->rung->id);
                    self::assertFalse($rung->rung->plays(RungPart::OpensTightHand), $rung->rung->id);
                    self::assertFalse($rung->rung->demands->touches(Contact::EndRange), $rung->rung->id);
                    self::assertFalse($rung->rung->demands->touches(Contact::Traction), $rung->rung->id);
                }
            }
        }

        self::assertTrue($placed->find('stretch-6', $side)?->standing?->isIn());
    }

    public function testASoftHandIsOverOnlyWhenMeasuredOtherwiseOnTwoDays(): void
    {
        $facts = $this->softFacts([[0.0, '2026-11-10'], [2.0, '2026-11-18']]);
        self::assertSame(RungState::Blocked, $this->stateOf($facts, 'wrist-ease-back'));
        $twice = $this->softFacts([[0.0, '2026-11-10'], [2.0, '2026-11-18'], [2.0, '2026-11-19']]);
        self::assertNotSame(RungState::Blocked, $this->stateOf($twice, 'wrist-ease-back'));
    }

    public function testWithPoorJudgementAndNobodyBesideOnlyLightWorkStays(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $alone = $client->facts([$this->found($client, 'confused', null)])->withSetting(new Setting());
            foreach ($this->inOn(
                (new Placer(Cases::catalogue()))->place($alone, $client->today),
                $seed,
            ) as $rung) {
                self::assertLessThanOrEqual(2, $rung->load->intensity, $rung->id);
                self::assertSame(
                    [],
                    array_intersect(['rubber-bands', 'elastic-band'], $rung->fit->materials),
                );
            }
        }
    }

    public function testWhatWasFoundIsLookedAtAgainBeforeItIsOver(): void
    {
        $client = new RandomClient(3, wellKnown: true);
        $client->readings = array_values(array_filter(
            $client->readings,
            static fn (Reading $r): bool => 'unstable' !== $r->code,
        ));
        $old = new Reading(
            'unstable',
            $client->side,
            null,
            'elbow',
            value: true,
            on: $client->today->modify('-200 days'),
        );
        $states = [];
        foreach ((new Placer(Cases::catalogue()))->place(
            $client->facts([$old]),
            $client->today,
        )->ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                if (
                    $ladder->side === $client->side
                    && $rung->rung->demands->works->doesWith(ArmPart::Elbow, ...WorkKind::cases())
                ) {
                    $states[$rung->state->value] = true;
                }
            }
        }

        self::assertArrayNotHasKey(RungState::In->value, $states);
    }

    public function testEveryRungSaysWhatItWorksOn(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $works = $rung->demands->works;
            if ([] !== $rung->load->lengthens && 'hamstrings' !== $rung->load->lengthens[0]) {
                self::assertNotSame([], $works->parts(WorkKind::Stretches), $rung->id);
            }
            $grips = array_filter($rung->load->muscles, static fn ($m): bool => $m->grips());
            if (Purpose::Grip === $rung->demands->purpose && [] !== $grips) {
                self::assertTrue($works->doesWith(ArmPart::Fingers, WorkKind::Loads), $rung->id);
            }
        }
    }

    /** @param \Closure(Demands): bool $does */
    private function assertNoneIn(string $code, ?string $part, \Closure $does): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            foreach ($this->inOn($this->placed($seed, $code, $part), $seed) as $rung) {
                self::assertFalse($does($rung->demands), "seed $seed: $rung->id with $code($part)");
            }
        }
    }

    private function placed(int $seed, string $code, ?string $part): Placements
    {
        $client = new RandomClient($seed, wellKnown: true);

        return (new Placer(Cases::catalogue()))->place(
            $client->facts([$this->found($client, $code, $part)]),
            $client->today,
        );
    }

    private function found(RandomClient $client, string $code, ?string $part): Reading
    {
        $observation = Cases::catalogue()->vocabulary->observation($code);

        return new Reading(
            $code,
            $observation->sided ?? true ? $client->side : null,
            null,
            $part,
            value: true,
            on: $client->today,
        );
    }

    /** @return list<Rung> that may be done with the client's own side */
    private function inOn(Placements $placed, int $seed): array
    {
        $side = (new RandomClient($seed))->side;
        $rungs = [];
        foreach ($placed->ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                if ($side === $ladder->side && RungState::In === $rung->state) {
                    $rungs[] = $rung->rung;
                }
            }
        }

        return $rungs;
    }

    private function soft(float $tone, string $on): Placements
    {
        $facts = $this->softFacts([[$tone, $on]]);

        return (new Placer(Cases::catalogue()))->place($facts, new \DateTimeImmutable('2026-11-20'));
    }

    /** @param list<array{float, string}> $tones grade of the fingers and its day */
    private function softFacts(array $tones): ClientFacts
    {
        $case = Cases::read((string) file_get_contents(
            Cases::root().'/docs/examples/worked/01-stroke-no-movement-yet.json',
        ));
        $side = $case->facts->people->affected[0];
        $readings = [];
        foreach ($tones as [$tone, $on]) {
            $day = new \DateTimeImmutable($on);
            $readings[] = new Reading('tone_finger', $side, null, null, value: $tone, on: $day);
            $readings[] = new Reading('tone_wrist', $side, null, null, value: 0.0, on: $day);
            $readings[] = new Reading('opening', $side, Mode::Passive, null, value: 95.0, on: $day);
        }
        $others = $case->facts->measured->readings->where(
            static fn (Reading $r): bool => !\in_array(
                $r->code,
                ['tone_finger', 'tone_wrist', 'opening'],
                true,
            ),
        );

        return $case->facts->withReadings(new Readings([...$others->current(), ...$readings]));
    }

    private function stateOf(ClientFacts $facts, string $rungId): RungState
    {
        $placed = (new Placer(Cases::catalogue()))->place($facts, new \DateTimeImmutable('2026-11-20'));
        foreach ($placed->ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                if ($rung->rung->id === $rungId) {
                    return $rung->state;
                }
            }
        }
        self::fail($rungId);
    }
}
