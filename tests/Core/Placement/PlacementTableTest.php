<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The worked placements that practitioners reviewed, row by row. */
final class PlacementTableTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, list<string>, ?string, list<string>}> */
    public static function rows(): iterable
    {
        yield 'tight hand, opening' => [
            'tight-hand',
            'stretch-1',
            'standing',
            [
                'thumb-lift-away-stretch',
                'finger-space-opener',
                'staged-joint-opener',
                'palm-down-flattening-rest',
            ],
            null,
            [],
        ];
        yield 'tight hand, from trying to opening' => [
            'tight-hand',
            'open-1',
            'standing',
            ['close-and-open'],
            'not yet: soft-fist-wide-open',
            ['opening_active_pct', 'tone_finger'],
        ];
        yield 'tight hand, wrist lifting' => [
            'tight-hand',
            'base-1',
            'standing',
            ['helped-lift-hold'],
            'not yet: pressed-lift-hold',
            ['wrist_ext_hold_s'],
        ];
        yield 'tight hand, single fingers' => [
            'tight-hand',
            'separate-1',
            'standing',
            ['single-finger-taps'],
            'measure: each-finger-lift',
            ['lies_flat', 'moves_alone(index)', 'moves_alone(middle)'],
        ];
        yield 'tight hand, thumb meets fingers' => [
            'tight-hand',
            'dexterity-1',
            'below the first rung',
            [],
            'not yet: wrist-forward-thumb-touch',
            ['thumb_out'],
        ];
        yield 'tight hand, release' => [
            'tight-hand',
            'open-3',
            'standing',
            ['wrist-forward-release'],
            'not yet: wrist-to-neutral-release',
            ['opening_active_pct(-30)'],
        ];
        yield 'tight hand, squeezing' => [
            'tight-hand',
            'grip-1',
            'blocked',
            [],
            'blocked: soft-squeeze',
            ['curls', 'tone_finger'],
        ];
        yield 'cupped hands, extensor strength' => [
            'cupped-hands',
            'open-4',
            'standing',
            ['heel-down-finger-draw-back', 'back-hand-ball-balance', 'all-finger-raise'],
            null,
            [],
        ];
        yield 'cupped hands, strong sets' => [
            'cupped-hands',
            'amplitude-2',
            'standing',
            ['wide-open-thumb-tap', 'straight-arm-wrist-pull', 'palms-up-high-flip'],
            'blocked: fist-to-wide-reach',
            ['curls'],
        ];
        yield 'cupped hands, bend shapes' => [
            'cupped-hands',
            'amplitude-3',
            'below the first rung',
            [],
            'not yet: knuckle-roof-bend',
            ['opening_active_pct'],
        ];
        yield 'cupped hands, squeezing' => [
            'cupped-hands',
            'grip-1',
            'blocked',
            [],
            'blocked: soft-squeeze',
            ['curls'],
        ];
        yield 'fingers together, one joint' => [
            'fingers-together',
            'separate-3',
            'below the first rung',
            [],
            'not yet: one-finger-free',
            ['moves_alone(index)', 'moves_alone(middle)'],
        ];
        yield 'fingers together, turning' => [
            'fingers-together',
            'dexterity-3',
            'standing',
            ['simple-object-turn'],
            'measure: all-way-object-turn',
            ['turns_60s_n'],
        ];
        yield 'fingers together, grasp and place' => [
            'fingers-together',
            'dexterity-6',
            'standing',
            ['varied-object-grasp'],
            'measure: three-digit-pick-place',
            ['pick_place_n'],
        ];
        yield 'cupped hands, wrist lifting' => [
            'cupped-hands',
            'base-1',
            'standing',
            ['active-wrist-lift'],
            'not yet: edge-wrist-lift',
            ['tryout(edge-wrist-lift)'],
        ];
        yield 'cupped hands, single fingers' => [
            'cupped-hands',
            'separate-1',
            'standing',
            ['each-finger-lift'],
            null,
            [],
        ];
        yield 'cupped hands, thumb meets fingers' => [
            'cupped-hands',
            'dexterity-1',
            'standing',
            ['slow-two-hand-thumb-touch'],
            'measure: arms-out-thumb-touch',
            ['tryout(arms-out-thumb-touch)'],
        ];
        yield 'fingers together, wrist lifting' => [
            'fingers-together',
            'base-1',
            'standing',
            ['edge-wrist-lift'],
            'measure: weighted-wrist-lift',
            ['tryout(weighted-wrist-lift)'],
        ];
        yield 'fingers together, single fingers' => [
            'fingers-together',
            'separate-1',
            'standing',
            ['single-finger-taps'],
            'not yet: each-finger-lift',
            ['moves_alone(index)', 'moves_alone(middle)'],
        ];
        yield 'fingers together, thumb meets fingers' => [
            'fingers-together',
            'dexterity-1',
            'standing',
            ['round-ring-thumb-touch'],
            null,
            [],
        ];
    }

    /**
     * @param list<string> $in
     * @param list<string> $atoms
     */
    #[DataProvider('rows')]
    public function testTheClientStandsWhereTheReviewSays(
        string $case,
        string $ladder,
        string $state,
        array $in,
        ?string $next,
        array $atoms,
    ): void {
        $placed = $this->place($case, $ladder);

        self::assertSame($state, $placed->state->value);
        $offered = array_map(static fn ($rung): string => $rung->id, $placed->offered());
        self::assertSame($in, $offered);
        self::assertSame(
            $next,
            null === $placed->next ? null : $placed->next->state->value.': '.$placed->next->rung->id,
        );
        $found = array_map(self::atom(...), $placed->next->findings ?? []);
        self::assertSame($atoms, array_values(array_unique($found)));
    }

    public function testBothCuppedHandsAreAlike(): void
    {
        $case = Cases::example('cupped-hands');
        $placements = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);

        foreach (['base-1', 'separate-1', 'dexterity-1'] as $ladder) {
            self::assertSame(
                $placements->find($ladder, Side::Right)?->standing?->rung,
                $placements->find($ladder, Side::Left)?->standing?->rung,
            );
        }
    }

    public function testReasonsKeepTheFigures(): void
    {
        $next = $this->place('tight-hand', 'base-1')->next;

        self::assertInstanceOf(RungPlacement::class, $next);
        self::assertSame(4.0, $next->findings[0]->found);
        self::assertSame('wrist_ext_hold_s>=5', $next->findings[0]->text());
    }

    private function place(string $case, string $ladder): LadderPlacement
    {
        $file = Cases::example($case);
        $placed = (
            new Placer(Cases::catalogue())
        )->place($file->facts, $file->today)->find($ladder, Side::Right);
        self::assertInstanceOf(LadderPlacement::class, $placed);

        return $placed;
    }

    private static function atom(Finding $finding): string
    {
        return $finding->atom->code.(
            null === $finding->atom->argument ? '' : '('.$finding->atom->argument.')'
        );
    }
}
