<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** A pose with the things and second hands that an exercise puts around it. */
final readonly class Stage
{
    public function __construct(private PoseLibrary $poses)
    {
    }

    public function scene(NamedPose $named, ?string $thing, ?string $otherHand): Scene
    {
        $elbow = (new Frame())->flex($named->elbowDegrees);
        $scene = HandModel::build($named->pose, $elbow);
        match ($otherHand) {
            'palms' => Placing::hand($scene, HandModel::build(self::otherPose($named), $elbow), new Frame([0.0, 0.0, $named->gapMillimetres], [-1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, -1.0]), true),
            'thumb-root' => $this->pinch($scene, $scene->frames['thumb.pp']->at(0, 13, 0), 90.0, 60.0),
            'index-tip' => $this->pinch($scene, $scene->frames['index.dp']->at(0, 4, 0), 200.0, 20.0),
            default => null,
        };
        match ($thing) {
            'weight' => $this->weight($scene),
            'ball' => $this->ballInPalm($scene, $named->pose),
            default => null,
        };

        return $scene;
    }

    private static function otherPose(NamedPose $named): Pose
    {
        return null === $named->otherWristDegrees ? $named->pose : Pose::clamped(['wrist' => $named->otherWristDegrees] + $named->pose->toArray());
    }

    /** A gripped ball lies under the fingers, with the hand open it rests on the palm. */
    private function ballInPalm(Scene $scene, Pose $pose): void
    {
        $gripped = $pose->fingers['middle'][0] > 20;
        Placing::ball($scene, $scene->frames['hand']->at(3, $gripped ? 80 : 52, $gripped ? 45 : 40), 27.0);
    }

    /** A weight held in the fist, across the palm. */
    private function weight(Scene $scene): void
    {
        $h = $scene->frames['hand'];
        Placing::drum($scene, $h->at(-62, 78, 30), $h->at(58, 78, 30), 12.0, 2.0);
        Placing::drum($scene, $h->at(48, 78, 30), $h->at(74, 78, 30), 25.0, 4.0, 20);
        Placing::drum($scene, $h->at(-78, 78, 30), $h->at(-52, 78, 30), 25.0, 4.0, 20);
    }

    /**
     * Another person's finger and thumb meet at a place of the client's hand.
     *
     * @param array{float, float, float} $at
     */
    private function pinch(Scene $scene, array $at, float $tilt, float $roll): void
    {
        $helper = HandModel::build($this->poses->get('grip')->pose);
        Placing::sleeve($helper);
        $frame = (new Frame())->tilt($tilt)->roll($roll);
        $point = Vector::mix($helper->anchors['thumb.pad'], $helper->anchors['index.pad'], .5);
        Placing::hand($scene, $helper, $frame->atOrigin(Vector::sub($at, $frame->at($point[0], $point[1], $point[2]))));
    }
}
