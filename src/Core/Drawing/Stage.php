<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** A hand or figure with the things and the second hand that an exercise puts around it. */
final class Stage
{
    /**
     * @param list<ThingPart> $things
     * @param bool            $withSkin without creases and nails: for checks and silhouettes
     */
    public static function scene(
        Subject $subject,
        array $things = [],
        ?SecondHand $other = null,
        bool $withSkin = true,
    ): Scene {
        $scene = $withSkin ? $subject->scene() : $subject->outline();
        $scene->frames['world'] ??= new Frame();
        Things::put($scene, $things);
        if (null !== $other && $subject instanceof NamedPose) {
            self::second($scene, $subject, $other, $withSkin);
        }

        return $scene;
    }

    private static function second(
        Scene $scene,
        NamedPose $subject,
        SecondHand $other,
        bool $withSkin,
    ): void {
        $target = $other->target($scene);
        if (null === $other->turn || null === $other->hold || null === $target) {
            $at = new Frame(
                [0.0, 0.0, $subject->gapMillimetres],
                [-1.0, 0.0, 0.0],
                [0.0, 1.0, 0.0],
                [0.0, 0.0, -1.0],
            );
            Placing::hand(
                $scene,
                HandModel::build($other->pose ?? $subject->meeting(), $subject->elbow(), $withSkin),
                $at,
                true,
            );

            return;
        }
        $second = HandModel::build($other->pose ?? $subject->pose, null, $withSkin);
        if (!$other->isOwn) {
            Placing::sleeve($second);
        }
        $frame = (new Frame())->tilt($other->turn[0])->roll($other->turn[1])->flex($other->turn[2]);
        $point = $other->hold->in($second);
        $m = $other->isOwn ? -1.0 : 1.0;
        Placing::hand(
            $scene,
            $second,
            $frame->atOrigin(Vector::sub($target, $frame->at($m * $point[0], $point[1], $point[2]))),
            $other->isOwn,
        );
        $scene->anchors['other'] = $target;
    }
}
