<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Drawing;

use HandGarden\Content\Pictures\PictureNames;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\BodyPose;
use HandGarden\Core\Drawing\Camera;
use HandGarden\Core\Drawing\Layer;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\Projection;
use HandGarden\Core\Drawing\Tableau;
use HandGarden\Core\Drawing\View;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** Whole figures, things and second hands, and how they move. */
final class FigureOfBodyTest extends TestCase
{
    private const STANDING = [0.0, 0.0, 0.0];

    public function testAnArmRaisedForwardGoesForwardAndUpAndASideRaiseGoesToItsSide(): void
    {
        $hand = fn (float $flexion, float $abduction): array => $this->body(
            [$flexion, $abduction, 0.0, 0.0, 0.0],
        )->scene()->place('hand.right.tip');
        $down = $hand(0, 0);
        $forward = $hand(90, 0);
        $side = $hand(0, 90);

        self::assertGreaterThan($down[2] + 80, $forward[2], 'forward is z');
        self::assertGreaterThan($down[1] + 80, $forward[1]);
        self::assertLessThan(
            $down[0] - 80,
            $side[0],
            'the right arm goes to the right, which is minus x',
        );
        self::assertEqualsWithDelta($forward[1], $side[1], 3.0, 'both end at shoulder height');
    }

    public function testALeaningTrunkBringsTheHeadForwardAndATurnTakesTheArmsAlong(): void
    {
        $upright = $this->body([0, 0, 0, 0, 0])->scene();
        $leaning = $this->body([0, 0, 0, 0, 0], [40.0, 0.0, 0.0])->scene();
        $turned = $this->body([90, 0, 0, 0, 0], [0.0, 0.0, 50.0])->scene();

        self::assertGreaterThan($upright->place('head')[2] + 30, $leaning->place('head')[2]);
        self::assertLessThan($upright->place('head')[1], $leaning->place('head')[1]);
        self::assertLessThan(
            -60,
            $turned->place('hand.right.tip')[0],
            'turned to the right, an arm held forward points to the right',
        );
    }

    public function testALeftFigureIsTheMirrorImage(): void
    {
        $scene = (new Tableau(Cases::drawings()->subject('bottle-lifted', View::Side)))->scene();
        $right = (new Projection($scene, Camera::from(View::Side, Side::Right)))->box();
        $left = (new Projection($scene, Camera::from(View::Side, Side::Left)))->box();

        self::assertEqualsWithDelta([-$right[2], $right[1], -$right[0], $right[3]], $left, 0.5);
    }

    public function testEveryFigureStandsOrSitsOnTheFloorAndHoldsNothingBelowIt(): void
    {
        foreach (Cases::drawings()->figures() as $name => $figure) {
            $scene = $figure->scene();
            $lowest = array_reduce(
                $scene->spheres,
                static fn (float $low, array $s): float => min($low, $s[1] - $s[3]),
                \INF,
            );
            self::assertGreaterThan(-14, $lowest, $name);
            self::assertLessThan(16, $lowest, $name);
        }
    }

    public function testThingsInAHandStayWithTheHand(): void
    {
        $library = Cases::drawings();
        foreach (
            [
                'tripod' => 'pencil-far',
                'coin-pinch' => 'coin-front',
                'knife-hold' => 'knife-flat',
            ] as $pose => $thing
        ) {
            $scene = (new Tableau($library->pose($pose), $library->things([$thing])))->scene();
            $hand = $scene->place('hand');
            $at = $scene->place('thing');
            self::assertLessThan(
                240,
                sqrt(
                    array_sum(
                        array_map(
                            static fn (float $a, float $b): float => ($a - $b) ** 2,
                            $hand,
                            $at,
                        ),
                    ),
                ),
                $thing,
            );
        }
    }

    public function testTheMovementBeginsAndEndsAsTheStillPicturesAndIsSeenThroughOneWindow(): void
    {
        foreach (['active-wrist-lift', 'clasped-arm-raise', 'thumb-full-circle'] as $id) {
            $picture = Cases::catalogue()->rung($id)->picture();
            $last = \count($picture->stills) - 1;
            $spec = PictureNames::spec($picture, Cases::drawings(), Side::Right, $last);
            $frames = (new Painter())->frames($spec, [$spec->strip[0], $spec->strip[$last]], 4);
            self::assertCount(4, $frames);
            self::assertCount(
                1,
                array_unique(
                    array_map(
                        static fn ($f): string => json_encode($f->window, \JSON_THROW_ON_ERROR),
                        $frames,
                    ),
                ),
            );
            self::assertNotEquals($frames[0]->layers, $frames[3]->layers, $id);
            self::assertEquals(
                self::ink((new Painter())->paint($spec)->layers),
                self::ink($frames[3]->layers),
                $id.': the last frame is the last picture',
            );
        }
    }

    public function testEveryJointOfThePoseEditorKeepsToWhatCanBeDrawn(): void
    {
        self::assertCount(25, Pose::joints());
        foreach (Pose::joints() as $joint) {
            foreach (['min', 'max'] as $end) {
                $value = (float) $joint[$end];
                $rest = 'thumb' === $joint['part'] ? [40.0, 20.0, 0.0, 0.0, 0.0] : [0.0, 0.0, 0.0, 0.0];
                $of = null === $joint['at']
                    ? $value
                    : array_values(array_replace($rest, [$joint['at'] => $value]));
                self::assertNotSame([], Pose::from([$joint['part'] => $of])->fingers, $joint['name']);
            }
        }
    }

    /**
     * @param array{float, float, float, float, float} $right
     * @param array{float, float, float}               $trunk
     */
    private function body(array $right, array $trunk = self::STANDING): BodyPose
    {
        return new BodyPose(
            'made',
            $trunk,
            $right,
            [0.0, 8.0, 0.0, 10.0, 0.0],
            rightLeg: [90.0, 90.0, 6.0],
            leftLeg: [90.0, 90.0, 6.0],
        );
    }

    /**
     * @param list<Layer> $layers
     *
     * @return list<string>
     */
    private static function ink(array $layers): array
    {
        return array_values(
            array_map(
                static fn (Layer $l): string => $l->data,
                array_filter($layers, static fn (Layer $l): bool => 'ink' === $l->class),
            ),
        );
    }
}
