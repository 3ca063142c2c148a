<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Drawing\Solid\Circle;

/**
 * A simple figure from joint angles, in the same spheres and hulls as the hand, so that lines and overlaps come by
 * themselves. One unit is about 5.5 mm of a grown person: a seated figure is as tall in the picture as a hand is.
 *
 * World axes: x to the figure's left, y up, z the way it faces; the floor is y = 0.
 *
 * @phpstan-import-type Arm from BodyPose
 * @phpstan-import-type Leg from BodyPose
 */
final class BodyModel
{
    private const THIGH = 74.0;
    private const SHANK = 74.0;
    private const SEAT = 66.0;
    private const UPPER_ARM = 52.0;
    private const FOREARM = 46.0;

    private Scene $scene;

    private function __construct(
        private readonly BodyPose $pose,
    ) {
        $this->scene = new Scene();
    }

    public static function build(BodyPose $pose): Scene
    {
        $model = new self($pose);
        $model->trunk();
        foreach ([true, false] as $right) {
            $model->arm($right);
            $model->leg($right);
        }

        return $model->scene;
    }

    private function trunk(): void
    {
        $s = $this->scene;
        [$lean, $side, $turn] = $this->pose->trunk;
        $s->frames['world'] = new Frame();
        $pelvis = new Frame([0.0, $this->pelvisHeight(), 0.0]);
        $t = $pelvis->roll(-$turn * .3)->flex($lean)->tilt($side);
        $chest = $t->move(0, 62, 0)->roll(-$turn * .7);
        $head = $chest->move(0, 54, 3)->flex(-$lean * .6);
        $s->frames['pelvis'] = $pelvis;
        $s->frames['trunk'] = $chest;
        $s->frames['head'] = $head;
        [$p1, $p2] = [$s->ball($t->at(13, 0, -1), 17), $s->ball($t->at(-13, 0, -1), 17)];
        [$w1, $w2] = [$s->ball($t->at(10, 32, 1), 14.5), $s->ball($t->at(-10, 32, 1), 14.5)];
        [$c1, $c2] = [$s->ball($chest->at(13, -8, 1), 16), $s->ball($chest->at(-13, -8, 1), 16)];
        [$s1, $s2] = [$s->ball($chest->at(26, 14, -1), 9), $s->ball($chest->at(-26, 14, -1), 9)];
        foreach (
            [
                [$p1, $p2, $w1],
                [$p2, $w2, $w1],
                [$w1, $w2, $c1],
                [$w2, $c2, $c1],
                [$c1, $c2, $s1],
                [$c2, $s2, $s1],
            ] as [$a, $b, $c]
        ) {
            $s->hull('palm', $a, $b, $c);
        }
        $n1 = $s->ball($chest->at(0, 22, 0), 8.5);
        $n2 = $s->ball($head->at(0, -14, -2), 7.5);
        $s->hull('palm', $s1, $s2, $s->ball($chest->at(0, 19, 0), 8.5));
        $s->hull('head/0', $n1, $n2);
        $this->head($head);
    }

    private function head(Frame $head): void
    {
        $s = $this->scene;
        $s->beginSolid('skin');
        $chin = $s->ball($head->at(0, -6, 6), 11.5);
        $s->hull('head/1', $s->ball($head->at(0, 6, 0), 16), $chin);
        foreach ([-1, 1] as $side) {
            $eye = $head->move($side * 5.6, 3.5, 14.6);
            if (Face::EyesClosed === $this->pose->face) {
                $s->edge(
                    [$eye->at(-3, .6, -.3), $eye->at(-1.5, -.6, .3), $eye->at(1.5, -.6, .3), $eye->at(
                        3,
                        .6,
                        -.3,
                    )],
                    1.1,
                );
            } else {
                $round = Circle::of(
                    Circle::facing($eye, [$side * .3, 0.0, 1.0]),
                    1.7,
                    10,
                );
                $s->patch($round, $eye->z, 'dark');
            }
        }
        $mouth = $head->move(0, -8.0, 17.0);
        if (Face::BreathingOut === $this->pose->face) {
            $s->patch(
                Circle::of(Circle::facing($mouth, [0.0, 0.0, 1.0]), 2.2, 12),
                $mouth->z,
                'dark',
            );
        } else {
            $s->edge(
                [$mouth->at(-4.5, .8, -1.4), $mouth->at(-2, -.6, 0), $mouth->at(2, -.6, 0), $mouth->at(
                    4.5,
                    .8,
                    -1.4,
                )],
                1.1,
            );
        }
        $s->endSolid();
        $s->beginSolid('skin'); // the nose: which way it faces
        $s->hull(
            'head/1',
            $s->ball($head->at(0, -3, 18), 2.3),
            $s->ball($head->at(0, 3, 15.5), 1.5),
        );
        $s->endSolid();
        $s->body = 'object';
        $s->beginSolid('hair');
        $s->hull(
            'hair',
            $s->ball($head->at(0, 11, -3.5), 15.4),
            $s->ball($head->at(0, 0, -8), 12),
        );
        $s->endSolid();
        $s->body = 'hand';
        $s->frames['mouth'] = $mouth;
    }

    private function pelvisHeight(): float
    {
        if ($this->pose->seated) {
            return self::SEAT + 16;
        }

        return max(
            self::heightOn($this->pose->rightLeg),
            self::heightOn($this->pose->leftLeg),
        );
    }

    /** @param Leg $leg */
    private static function heightOn(array $leg): float
    {
        return self::THIGH * cos(deg2rad($leg[0])) + self::SHANK * cos(
            deg2rad($leg[0] - $leg[1]),
        ) + 5;
    }

    private function arm(bool $right): void
    {
        $s = $this->scene;
        $m = $right ? -1.0 : 1.0;
        $name = $right ? 'right' : 'left';
        [$flexion, $abduction, $rotation, $elbow, $wrist] = $right
            ? $this->pose->right
            : $this->pose->left;
        $t = $s->frames['trunk'];
        $shoulder = new Frame(
            $t->at($m * 28, 12, 0),
            Vector::times($t->x, -1),
            Vector::times($t->y, -1),
            $t->z,
        );
        $upper = $shoulder->tilt($m * $abduction)->flex($flexion)->roll($m * $rotation);
        $fore = $upper->move(0, self::UPPER_ARM, 0)->flex($elbow);
        $hand = $fore->move(0, self::FOREARM, 0)->flex($wrist);
        $s->frames["upper.$name"] = $upper;
        $s->frames["fore.$name"] = $fore;
        $s->frames["hand.$name"] = $hand;
        $a = $s->ball($upper->origin, 10.5);
        $b = $s->ball($upper->at(0, self::UPPER_ARM * .5, 0), 8.8);
        $c = $s->ball($fore->origin, 7.4);
        $d = $s->ball($fore->at(0, 14, 0), 7.6);
        $e = $s->ball($hand->origin, 5.2);
        $s->chain("arm-$name/0", $a, $b, $c);
        $s->chain("arm-$name/1", $c, $d, $e);
        $palm = [$s->ball($hand->at(4, 11, 0), 4.6), $s->ball($hand->at(-4, 11, 0), 4.6)];
        $s->hull("arm-$name/1", $e, ...$palm);
        if ($this->pose->open) {
            $tips = [$s->ball($hand->at(3.5, 27, 1), 2.9), $s->ball($hand->at(-3, 25, 1), 2.9)];
            $s->hull("arm-$name/2", $palm[0], $palm[1], $tips[0]);
            $s->hull("arm-$name/2", $palm[1], $tips[0], $tips[1]);
        } else {
            $s->hull(
                "arm-$name/2",
                ...$palm,
                ...[$s->ball($hand->at(0, 14, 4), 6.2)],
            );
        }
        $s->chain(
            "thumb-$name/2",
            $palm[$right ? 1 : 0],
            $s->ball($hand->at(($right ? -1 : 1) * 6.5, 15, 4), 2.8),
            $s->ball(
                $hand->at(($right ? -1 : 1) * 5.5, $this->pose->open ? 21 : 18, 7),
                2.5,
            ),
        );
        $s->anchors["hand.$name.tip"] = $hand->at(0, 27, 1);
        $s->frames["hand.$name.grip"] = new Frame($hand->at(0, 14, 8)); // upright, for things that stand
        $s->anchors["hand.$name.palm"] = $hand->at(0, 12, 5);
        $s->anchors["elbow.$name"] = $fore->origin;
    }

    private function leg(bool $right): void
    {
        $s = $this->scene;
        $m = $right ? -1.0 : 1.0;
        $name = $right ? 'right' : 'left';
        [$hip, $knee, $abduction] = $right ? $this->pose->rightLeg : $this->pose->leftLeg;
        $p = $s->frames['pelvis'];
        $root = new Frame(
            $p->at($m * 13, -2, 0),
            Vector::times($p->x, -1),
            Vector::times($p->y, -1),
            $p->z,
        );
        $thigh = $root->tilt($m * $abduction)->flex($hip);
        $shank = $thigh->move(0, self::THIGH, 0)->flex(-$knee);
        $foot = new Frame($shank->at(0, self::SHANK, 0), $p->x, $p->y, $p->z);
        $a = $s->ball($thigh->at(0, 4, 0), 15);
        $b = $s->ball($shank->origin, 10.5);
        $c = $s->ball($shank->at(0, 22, -2), 10);
        $d = $s->ball($shank->at(0, self::SHANK, 0), 6.2);
        $s->hull("leg-$name/0", $a, $b);
        $s->chain("leg-$name/1", $b, $c, $d);
        $s->chain(
            "leg-$name/1",
            $d,
            $s->ball($foot->at(0, -3, 14), 5.2),
            $s->ball($foot->at($m * 2, -4.5, 27), 4.2),
        );
        $s->frames["knee.$name"] = $shank;
        $s->frames["foot.$name"] = $foot;
    }
}
