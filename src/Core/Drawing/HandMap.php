<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;

/**
 * Where the joints of an open hand lie on its picture, in clinician order: wrist, thumb, index to little, root to
 * tip.
 */
final readonly class HandMap
{
    private const OPEN = [
        'index' => [4, 6, 4, 7],
        'middle' => [3, 5, 3, 0],
        'ring' => [4, 6, 4, 5],
        'little' => [6, 8, 5, 12],
        'thumb' => [38, 30, 0, 8, 6],
    ];

    private const AROUND = [30.0, 48.0, 30.0, 30.0];

    /**
     * @param array<string, array{float, float}>   $joints place on the picture by `wrist`, `thumb`, `thumb_mp`,
     *     `index_pip` ...
     * @param array{float, float, float, float} $window left, top, width, height around the joints
     */
    private function __construct(
        public Painting $painting,
        public array $joints,
        public array $window,
    ) {
    }

    public static function from(Side $side): self
    {
        $pose = Pose::clamped(self::OPEN);
        $camera = Camera::from(View::Dorsal, $side);
        $scene = HandModel::build($pose, null, false);
        $at = static function (string $frame) use ($scene, $camera): array {
            [$x, $y] = $camera->project($scene->place($frame));

            return [round($x, 1), round($y, 1)];
        };
        $joints = [
            'wrist' => $at('hand'),
            'thumb' => $at('thumb.mc'),
            'thumb_mp' => $at('thumb.pp'),
            'thumb_ip' => $at('thumb.dp'),
        ];
        foreach (Digit::fingers() as $digit) {
            foreach (['mcp' => 'pp', 'pip' => 'mp', 'dip' => 'dp'] as $joint => $frame) {
                $joints[$digit->value.'_'.$joint] = $at($digit->value.'.'.$frame);
            }
        }

        [$x, $y] = [array_column($joints, 0), array_column($joints, 1)];
        [$left, $top, $right, $bottom] = self::AROUND;

        return new self(
            (new Painter())->sketch($pose, View::Dorsal, $side),
            $joints,
            [
                min($x) - $left,
                min($y) - $top,
                max($x) - min($x) + $left + $right,
                max($y) - min($y) + $top + $bottom,
            ],
        );
    }
}
