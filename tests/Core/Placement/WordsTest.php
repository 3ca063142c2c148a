<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placer;
use HandGarden\Planning\LadderView;
use HandGarden\Planning\NodeView;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

final class WordsTest extends TestCase
{
    public function testReasonsSpeakPlainlyWithValueAndNeed(): void
    {
        self::assertSame(
            'Wrist held up: 4 s, needs at least 5 s',
            $this->next('tight-hand', 'base-1'),
        );
        self::assertSame(
            'Opens by itself: 15 %, needs at least 40 %; Tone, finger flexors: 2, needs under 2',
            preg_replace('/ \((left|right) hand\)/', '', $this->next('tight-hand', 'open-1')),
        );
        self::assertStringStartsWith(
            'Heel, palm and fingertips rest on the table without pain or holding: not looked at yet',
            $this->next('tight-hand', 'separate-1'),
        );
        self::assertSame(
            'Try-out of Full-arc wrist lift over the edge: not clean yet',
            $this->next('cupped-hands', 'base-1'),
        );
        self::assertSame(
            'Try-out of Arms-out thumb touch: not done yet, and the rung below has not met its evidence',
            $this->next('cupped-hands', 'dexterity-1'),
        );
    }

    public function testABlockNamesItsCautionAndWhatWasFound(): void
    {
        $case = Cases::example('tight-hand');
        $placed = (
            new Placer(Cases::catalogue())
        )->place($case->facts, $case->today)->find('settle-1', Side::Right);

        self::assertNotNull($placed?->next);
        self::assertStringContainsString(
            'Strong spasticity triggered by quick movement',
            Said::placement()->placed($placed->next, Side::Right),
        );
    }

    public function testTheStemShowsLeavesBehindABudAndBareNodesAhead(): void
    {
        $shapes = array_map(
            static fn (NodeView $n): string => $n->shape,
            $this->view('fingers-together', 'base-1')->nodes,
        );

        self::assertSame(['leaf', 'leaf', 'leaf', 'leaf', 'leaf', 'leaf', 'bud', 'bare'], $shapes);
        self::assertSame(
            ['bud', 'bud', 'bud', 'bud'],
            array_map(
                static fn (NodeView $n): string => $n->shape,
                $this->view('tight-hand', 'stretch-1')->nodes,
            ),
        );
    }

    public function testRungsThatDoNotFitAreNoNodes(): void
    {
        self::assertSame(
            ['active-wrist-lift', 'edge-wrist-lift', 'weighted-wrist-lift'],
            array_map(
                static fn (NodeView $n): string => $n->rungId,
                $this->view('cupped-hands', 'base-1')->nodes,
            ),
        );
    }

    public function testHandsThatStandAlikeShareARow(): void
    {
        $case = Cases::example('cupped-hands');
        $rows = LadderView::inOneRow(
            array_map(
                static fn (LadderPlacement $p): LadderView => Said::views()->ladder($p),
                (new Placer(Cases::catalogue()))->place($case->facts, $case->today)->trained(),
            ),
        );

        $named = array_map(static fn (array $r): string => $r['ladder']->key.' '.$r['hands'], $rows);
        foreach (['base-1', 'open-1', 'separate-1', 'dexterity-1'] as $alike) {
            self::assertContains($alike.' both hands', $named);
            self::assertNotContains($alike.' right', $named);
        }
    }

    public function testTheNeedsMeasuringListIsShortestFirst(): void
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            $case = Cases::example($name);
            $seconds = array_map(
                static fn ($n): int => $n->seconds,
                (new Placer(Cases::catalogue()))->place($case->facts, $case->today)->needed,
            );
            $sorted = $seconds;
            sort($sorted);
            self::assertSame($sorted, $seconds);
            self::assertNotSame([], $seconds);
        }
    }

    private function next(string $case, string $ladder): string
    {
        return $this->view($case, $ladder)->nextWhy;
    }

    private function view(string $name, string $ladder): LadderView
    {
        $case = Cases::example($name);
        $placed = (
            new Placer(Cases::catalogue())
        )->place($case->facts, $case->today)->find($ladder, Side::Right);
        self::assertNotNull($placed);

        return Said::views()->ladder($placed);
    }
}
