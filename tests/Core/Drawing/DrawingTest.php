<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Drawing;

use HandGarden\Content\Pictures\PictureNames;
use HandGarden\Content\Pictures\SvgWriter;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\Camera;
use HandGarden\Core\Drawing\Contours;
use HandGarden\Core\Drawing\Figure;
use HandGarden\Core\Drawing\Framing;
use HandGarden\Core\Drawing\HandModel;
use HandGarden\Core\Drawing\InvalidPose;
use HandGarden\Core\Drawing\MeasuredPose;
use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Polyline;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\Projection;
use HandGarden\Core\Drawing\Vector;
use HandGarden\Core\Drawing\View;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DrawingTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function contacts(): iterable
    {
        foreach (['index', 'middle', 'ring', 'little'] as $finger) {
            yield 'thumb to '.$finger => ['opp-'.$finger, $finger];
        }
    }

    #[DataProvider('contacts')]
    public function testPadsThatShouldMeetAreWithinTwoMillimetres(string $pose, string $finger): void
    {
        $scene = HandModel::build(Cases::drawings()->pose($pose)->pose);

        self::assertLessThan(
            2.0,
            Vector::length(
                Vector::sub($scene->anchors['thumb.pad'], $scene->anchors[$finger.'.pad']),
            ),
        );
    }

    public function testProportionsAreThoseOfAHand(): void
    {
        $scene = HandModel::build(Cases::drawings()->pose('flat')->pose);
        $tips = array_map(
            static fn (string $f): float => $scene->anchors[$f.'.tip'][1],
            ['index' => 'index', 'middle' => 'middle', 'ring' => 'ring', 'little' => 'little'],
        );

        self::assertSame('middle', array_search(max($tips), $tips, true));
        self::assertSame('little', array_search(min($tips), $tips, true));
        self::assertEqualsWithDelta(190.0, $tips['middle'], 8.0);
        self::assertGreaterThan(5.0, $tips['middle'] - $tips['index']);
    }

    /** @return iterable<string, array{string}> */
    public static function poses(): iterable
    {
        foreach (Cases::drawings()->poseNames() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('poses')]
    public function testTheOutlineCloses(string $name): void
    {
        $open = [];
        $views = [View::Palmar, View::Dorsal, View::Radial, View::Three, View::ThreePalm];
        $at = crc32($name); // one view of each pose: over all poses every view is seen often
        foreach ([$views[$at % 5]] as $view) {
            $projection = new Projection(
                HandModel::build(Cases::drawings()->pose($name)->pose),
                Camera::from($view, Side::Right),
            );
            $contours = new Contours($projection);
            $box = [\INF, \INF, -\INF, -\INF];
            foreach ($contours->loops($contours->lines()) as $loop) {
                $box = Polyline::around($box, $loop);
            }
            $hulls = $projection->box();
            $off = array_sum(
                array_map(static fn (float $a, float $b): float => abs($a - $b), $box, $hulls),
            );
            if ($off > 8.0) {
                $open[] = $view->value;
            }
        }

        self::assertSame([], $open);
    }

    public function testTheLeftHandIsTheMirrorImageInTheSameLight(): void
    {
        $scene = HandModel::build(Cases::drawings()->pose('opp-index')->pose);
        [$right, $left] = [
            new Projection($scene, Camera::from(View::Three, Side::Right)),
            new Projection($scene, Camera::from(View::Three, Side::Left)),
        ];

        foreach ($right->circles as $i => [$x, $y, $z, $r]) {
            self::assertEqualsWithDelta([-$x, $y, $z, $r], $left->circles[$i], 1e-9);
        }
        $wash = static fn (Side $side): string => array_column(
            array_map(
                static fn ($l): array => [$l->class, $l->data],
                (new Figure($scene, Camera::from(View::Three, $side)))->layers(),
            ),
            1,
            0,
        )['wash'];
        self::assertNotSame(
            $wash(Side::Right),
            $wash(Side::Left),
            'the shadow stays on the lower right, it is not flipped',
        );
    }

    public function testTheThumbOfARightPalmIsOnTheRight(): void
    {
        $scene = HandModel::build(Cases::drawings()->pose('flat')->pose);
        $thumb = static fn (View $view, Side $side): float => Camera::from($view, $side)->project(
            $scene->anchors['thumb.tip'],
        )[0];

        self::assertGreaterThan(0.0, $thumb(View::Palmar, Side::Right));
        self::assertLessThan(0.0, $thumb(View::Dorsal, Side::Right));
        self::assertLessThan(0.0, $thumb(View::Palmar, Side::Left));
        self::assertGreaterThan(0.0, $thumb(View::Dorsal, Side::Left));
    }

    /** @return iterable<string, array{Side}> */
    public static function sides(): iterable
    {
        yield 'right' => [Side::Right];
        yield 'left' => [Side::Left];
    }

    #[DataProvider('sides')]
    public function testAWristMeasuredAtMinus30IsDrawnBentForward(Side $side): void
    {
        $readings = new Readings(
            [
                new Reading(
                    'wrist_extension',
                    $side,
                    Mode::Active,
                    null,
                    value: -30.0,
                    on: new \DateTimeImmutable('2026-11-20'),
                ),
            ],
        );
        $pose = MeasuredPose::from($readings, $side, Mode::Active);

        self::assertSame(30.0, $pose?->wrist);
        $scene = HandModel::build($pose);
        $camera = Camera::from(View::Radial, $side);
        self::assertGreaterThan(
            $camera->project($scene->frames['hand']->origin)[1] + 40,
            $camera->project($scene->frames['middle.mcp']->origin)[1],
            'seen from the thumb side with the back up, the knuckles hang below the wrist',
        );
    }

    public function testMeasuredJointsAreDrawnAsMeasuredAndClampedOnlyInTheDrawing(): void
    {
        $day = new \DateTimeImmutable('2026-11-20');
        $readings = new Readings([
            new Reading(
                'index_pip_extension',
                Side::Right,
                Mode::Active,
                null,
                value: 62.0,
                on: $day,
            ),
            new Reading(
                'index_mcp_extension',
                Side::Right,
                Mode::Active,
                null,
                value: -44.0,
                on: $day,
            ),
        ]);
        $pose = MeasuredPose::from($readings, Side::Right, Mode::Active);

        self::assertSame(62.0, $pose?->fingers['index'][1]);
        self::assertSame(-35.0, $pose->fingers['index'][0]);
        self::assertNull(MeasuredPose::from($readings, Side::Left, Mode::Active));
    }

    public function testAHandOpenedHalfwayByEyeLiesBetweenFistAndFlat(): void
    {
        $open = static fn (float $percent): float => MeasuredPose::from(
            new Readings(
                [
                    new Reading(
                        'opening',
                        Side::Right,
                        Mode::Active,
                        null,
                        value: $percent,
                        on: new \DateTimeImmutable('2026-11-20'),
                    ),
                ],
            ),
            Side::Right,
            Mode::Active,
        )->fingers['middle'][1] ?? -1.0;

        self::assertSame(0.0, $open(100.0));
        self::assertGreaterThan($open(60.0), $open(20.0));
    }

    public function testAnAngleOutsideWhatCanBeDrawnIsRefusedByName(): void
    {
        $this->expectException(InvalidPose::class);
        $this->expectExceptionMessage('index PIP: 140 is outside -10..115');
        Pose::from(['index' => [0, 140, 0, 0]]);
    }

    /** @return iterable<string, array{string}> */
    public static function rungs(): iterable
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            yield $rung->id => [$rung->id];
        }
    }

    #[DataProvider('rungs')]
    public function testEveryStripHasOneWindowAndItsTellingStillIsDrawnAndSmall(string $rungId): void
    {
        $picture = Cases::catalogue()->rung($rungId)->picture();
        $side = 0 === crc32($rungId) % 4 ? Side::Left : Side::Right;
        $windows = [];
        foreach (array_keys($picture->stills) as $nth) {
            $spec = PictureNames::spec($picture, Cases::drawings(), $side, $nth);
            $shown = new Projection($spec->shown->scene(false), $spec->shown->camera($spec->view, $side));
            $window = Framing::of($spec)->window($shown);
            $windows[] = [round($window[2], 3), round($window[0], 3)];
        }
        self::assertCount(
            1,
            array_unique($windows, \SORT_REGULAR),
            'nothing jumps from one still to the next',
        );
        $spec = PictureNames::spec($picture, Cases::drawings(), $side, $picture->telling());
        $painting = (new Painter())->paint($spec);
        $classes = array_map(static fn ($l): string => $l->class, $painting->layers);
        foreach (['fill-hand', 'wash', 'ink'] as $layer) {
            self::assertContains($layer, $classes, 'layer '.$layer);
        }
        $svg = (new SvgWriter())->write($painting);
        self::assertLessThan(15 * 1024, \strlen((string) gzencode($svg, 6)), 'compressed size');
        self::assertStringNotContainsString('NAN', $svg);
        self::assertStringNotContainsString('INF', $svg);
    }

    public function testEqualPicturesHaveOneNameAndDifferentOnesDoNot(): void
    {
        $spec = static fn (float $wrist, Side $side): string => PictureSpec::ofPose(
            new NamedPose('any', Pose::from(['wrist' => $wrist])),
            View::Radial,
            $side,
        )
            ->hash();

        self::assertSame($spec(-30, Side::Right), $spec(-30, Side::Right));
        self::assertNotSame($spec(-30, Side::Right), $spec(-31, Side::Right));
        self::assertNotSame($spec(-30, Side::Right), $spec(-30, Side::Left));
    }

    public function testTheSketchCoversTheSameWindowAsTheFullDrawing(): void
    {
        $pose = Cases::drawings()->pose('relaxed');
        $painter = new Painter();

        $full = $painter->paint(PictureSpec::ofPose($pose, View::Three, Side::Right));
        self::assertEqualsWithDelta(
            $full->window,
            $painter->sketch($pose->pose, View::Three, Side::Right)->window,
            0.1,
        );
    }
}
