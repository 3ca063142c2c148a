<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Needed;
use HandGarden\Core\Placement\Placer;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** Capable hands do not begin at the bottom: what was measured says what lies behind them. */
final class SettledTest extends TestCase
{
    public function testTwentyLiftsPutTheFirstExercisesOfTheWristBehindIt(): void
    {
        self::assertSame('edge-wrist-lift', $this->placed('base-1')->standing?->rung->id);
        self::assertSame('weighted-wrist-lift', $this->placed('base-1')->next?->rung->id, 'load is earned');
    }

    public function testAnOpeningTakenByEyeHasToBeWellAboveTheLine(): void
    {
        $open = fn (int $percent): ?string => $this->placed('open-1', [
            ['code' => 'opening', 'side' => 'right', 'mode' => 'active', 'percent' => $percent],
        ])->standing?->rung->id;

        self::assertSame('open-attempt', $open(40), '30 would do, were it measured');
        self::assertSame('close-and-open', $open(60));
    }

    public function testWhatWasMeasuredBeforeAnInjectionSaysNothing(): void
    {
        $injected = $this->placed('base-1', [], ['injected_on' => '2026-11-20']);
        $before = $this->placed('base-1', [
            ['code' => 'wrist_lift_reps_n', 'side' => 'right', 'count' => 20, 'on' => '2026-11-10'],
            ['code' => 'wrist_edge_reps_n', 'side' => 'right', 'count' => 20, 'on' => '2026-11-10'],
            ['code' => 'wrist_ext_hold_s', 'side' => 'right', 'seconds' => 10, 'on' => '2026-11-10'],
        ], ['injected_on' => '2026-11-15']);

        self::assertSame('edge-wrist-lift', $injected->standing?->rung->id, 'measured on the day, after it');
        self::assertSame('side-rest-wrist-back', $before->standing?->rung->id);
    }

    public function testATryOutWithATrickKeepsBelowWhatNumbersWouldAllow(): void
    {
        $tried = $this->placed('base-1', [], [], [
            ['rung' => 'edge-wrist-lift', 'side' => 'right', 'result' => 'trick'],
        ]);

        self::assertSame('bent-elbow-wrist-lift', $tried->standing?->rung->id);
    }

    public function testTheFirstTryOutIsTheMiddleOfWhatIsOpen(): void
    {
        $case = Cases::example('worked/20-toxin-week-3');
        foreach ((new Placer(Cases::catalogue()))->place($case->facts, $case->today)->ladders as $placed) {
            if (LadderKind::Climb !== $placed->ladder->kind || null === $placed->tryOut) {
                continue;
            }
            $next = $placed->ladder->positionOf((string) $placed->next?->rung->id);
            self::assertGreaterThanOrEqual($next, $placed->ladder->positionOf($placed->tryOut->id));
            self::assertFalse($placed->tryOut->isEarned() && $placed->tryOut !== $placed->next?->rung);
        }
        $asked = array_map(
            static fn (Needed $n): string => $n->code.' '.$n->argument,
            (new Placer(Cases::catalogue()))->place($case->facts, $case->today)->needed,
        );
        self::assertContains('tryout ball-roll-release', $asked);
    }

    public function testEveryClimbedExerciseSaysWhatPutsItBehindAHand(): void
    {
        $said = 0;
        foreach (Cases::catalogue()->ladders() as $ladder) {
            foreach (LadderKind::Climb === $ladder->kind ? $ladder->rungs : [] as $rung) {
                $said += null === $rung->fit->settledWhen ? 0 : 1;
                self::assertFalse($rung->isEarned() && null !== $rung->fit->settledWhen, $rung->id);
            }
        }

        self::assertGreaterThan(35, $said);
    }

    /**
     * @param list<array<string, mixed>> $measures
     * @param array<string, mixed>       $client
     * @param list<array<string, mixed>> $tryouts
     */
    private function placed(
        string $ladder,
        array $measures = [],
        array $client = [],
        array $tryouts = [],
    ): LadderPlacement {
        $file = Cases::root().'/docs/examples/worked/27-near-normal.json';
        /** @var array{measures: list<array<string, mixed>>, client: array<string, mixed>} $case */
        $case = json_decode((string) file_get_contents($file), true, 64, \JSON_THROW_ON_ERROR);
        $name = static fn (array $m): string => serialize(array_intersect_key($m, array_flip([
            'code',
            'side',
            'mode',
            'at',
        ])));
        $new = array_map($name, $measures);
        $case['measures'] = [
            ...array_values(array_filter(
                $case['measures'],
                static fn (array $m): bool => !\in_array($name($m), $new, true),
            )),
            ...$measures,
        ];
        $case['client'] = $client + $case['client'];
        $read = Cases::read(json_encode($case + ['tryouts' => $tryouts], \JSON_THROW_ON_ERROR));

        return (new Placer(Cases::catalogue()))->place($read->facts, $read->today)->find(
            $ladder,
            Side::Right,
        )
            ?? self::fail($ladder);
    }
}
