<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Where a hand may touch and where it must not, and pushes of another hand that is left out of the picture. */
final class Zones
{
    /** @return list<Layer> */
    public static function layers(string $name, Scene $scene, Camera $camera): array
    {
        $h = $scene->frames['hand'];
        $arm = $scene->frames['arm'];

        return match ($name) {
            'palm-heel' => [
                ...Overlays::zone(
                    $camera,
                    $h,
                    new Ellipse(31, 34, 16, 11, ry: 17, turn: -38),
                    allowed: true,
                ),
                ...Overlays::zone(
                    $camera,
                    $h,
                    new Ellipse(-24, 34, 14, 8, ry: 20),
                    allowed: true,
                ),
            ],
            'keep-off-palm' => [
                ...Overlays::zone(
                    $camera,
                    $h,
                    new Ellipse(-6, 50, 12, 20, ry: 26),
                    allowed: false,
                ),
                ...array_merge(
                    ...array_map(
                        static fn (string $f): array => Overlays::zone(
                            $camera,
                            $scene->frames[$f.'.dp'],
                            new Ellipse(0, 10, 8, 5, ry: 9),
                            allowed: false,
                        ),
                        Pose::FINGERS,
                    ),
                ),
                ...Overlays::zone(
                    $camera,
                    $h,
                    new Ellipse(31, 34, 16, 11, ry: 17, turn: -38),
                    allowed: true,
                ),
            ],
            'keep-off-heel' => Overlays::zone(
                $camera,
                $h,
                new Ellipse(-2, 36, 14, 22, ry: 17),
                allowed: false,
            ),
            'back-press' => self::push(
                $camera,
                $h->at(8, 62, -62),
                $h->at(8, 62, -20),
            ),
            'lift-press' => self::push(
                $camera,
                $h->at(6, 60, 72),
                $h->at(6, 60, 26),
            ),
            'edge-press' => self::push(
                $camera,
                $h->at(92, 74, 0),
                $h->at(42, 74, 0),
            ),
            'turn-block-down' => self::push(
                $camera,
                $arm->at(0, -26, -62),
                $arm->at(0, -26, -22),
            ),
            'turn-block-up' => self::push(
                $camera,
                $arm->at(0, -26, 62),
                $arm->at(0, -26, 22),
            ),
            'pull-apart' => self::push(
                $camera,
                $arm->at(0, -6, -28),
                $arm->at(0, -58, -28),
            ),
            default => [],
        };
    }

    /**
     * @param array{float, float, float} $from
     * @param array{float, float, float} $to
     *
     * @return list<Layer>
     */
    private static function push(Camera $camera, array $from, array $to): array
    {
        return Overlays::arrow(
            [
                $camera->project($from),
                $camera->project(Vector::mix($from, $to, .5)),
                $camera->project($to),
            ],
        );
    }

    /** @return list<string> */
    public static function names(): array
    {
        return [
            'palm-heel',
            'keep-off-palm',
            'keep-off-heel',
            'back-press',
            'lift-press',
            'edge-press',
            'turn-block-down',
            'turn-block-up',
            'pull-apart',
        ];
    }
}
