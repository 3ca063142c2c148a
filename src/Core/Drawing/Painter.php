<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Side;

/** Draws a picture from its spec. */
final readonly class Painter
{
    private const STEPS = 14;
    private const MARGIN = 9.0;
    private const ASPECT = 1.25;
    private const TABLE_BEYOND = 20.0;

    public function paint(PictureSpec $spec): Painting
    {
        $camera = Camera::from($spec->view, $spec->side, $spec->shown->turnDegrees());
        $scene = Stage::scene($spec->shown, $spec->things, $spec->secondHand);
        $figure = new Figure($scene, $camera, $spec->focus, $spec->weight);
        $box = $figure->projection->box();
        $other = null;
        if (null !== $spec->other) {
            $otherCamera = Camera::from($spec->view, $spec->side, $spec->other->turnDegrees());
            $other = new Projection(
                Stage::scene($spec->other, $spec->otherThings, $spec->otherSecondHand),
                $otherCamera,
            );
            $box = self::around($box, $other->box());
        }
        $layers = [];
        if (null !== $spec->table) {
            [$tableY, $from, $to] = self::table($spec, $figure->projection, $box);
            array_push($layers, ...Overlays::table($tableY, $from, $to));
            $box = self::around($box, [$from, $tableY, $to, $tableY + 8]);
        }
        if ($spec->withGhost && null !== $other) {
            array_push($layers, ...Overlays::ghost($other->scene->only('hand'), $other->camera));
        }
        array_push($layers, ...$figure->layers());
        if (null !== $spec->zones) {
            array_push($layers, ...$this->zones($spec->zones, $scene, $camera));
        }
        if ($spec->withGhost && null !== $spec->other && null !== $spec->trace) {
            $path = $this->way($spec, $spec->trace, $scene, $other);
            array_push(
                $layers,
                ...Overlays::arrow($path, $camera->project($scene->place($spec->shown->pivot()))),
            );
            foreach ($path as $p) {
                $box = self::around($box, [$p[0] - 14, $p[1] - 14, $p[0] + 14, $p[1] + 14]);
            }
        }

        return new Painting(
            array_values(array_filter($layers, static fn (Layer $l): bool => '' !== $l->data)),
            self::window($box),
        );
    }

    /**
     * Frames of the movement from the other pose of a spec to the shown one, all seen through one window.
     *
     * @param list<Subject> $via poses on the way
     *
     * @return list<Painting>
     */
    public function frames(PictureSpec $spec, array $via, int $count, bool $withMarks = true): array
    {
        $stops = [...array_filter([$spec->other]), ...$via, $spec->shown];
        $legs = \count($stops) - 1;
        $frames = [];
        $box = [\INF, \INF, -\INF, -\INF];
        for ($i = 0; $i < max(1, $count); ++$i) {
            $share = $i / max(1, $count - 1);
            $leg = min((int) floor($share * $legs), $legs - 1);
            $subject = $legs < 1
                ? $spec->shown
                : $stops[$leg]->towards($stops[$leg + 1], $share * $legs - $leg);
            $second = null === $spec->secondHand || null === $spec->otherSecondHand
                ? $spec->secondHand
                : $spec->secondHand->comingFrom($spec->otherSecondHand, $share);
            $scene = Stage::scene(
                $subject,
                $share < .5 ? $spec->otherThings : $spec->things,
                $second,
                $withMarks,
            );
            $figure = new Figure(
                $scene,
                Camera::from($spec->view, $spec->side, $subject->turnDegrees()),
                $spec->focus,
                $spec->weight,
                marks: $withMarks,
            );
            $frames[] = $figure->layers();
            $box = self::around($box, $figure->projection->box());
        }
        $window = self::window($box);

        return array_map(
            static fn (array $layers): Painting => new Painting($layers, $window),
            $frames,
        );
    }

    /** Light drawing for a live pose: flesh and silhouette only. */
    public function sketch(Pose $pose, View $view, Side $side): Painting
    {
        $projection = new Projection(HandModel::build($pose, null, false), Camera::from($view, $side));
        $data = '';
        foreach (array_keys($projection->primitives) as $k) {
            $data .= PathData::from($projection->polygon($k, 0.0, 20));
        }

        return new Painting(
            [new Layer('sketch-line', $data), new Layer('fill-hand', $data)],
            self::window($projection->box()),
        );
    }

    /**
     * One window in which all of these poses fit, so that a moving hand moves and its picture does not.
     *
     * @param non-empty-list<Pose> $poses
     *
     * @return array{float, float, float, float}
     */
    public function windowOf(array $poses, View $view, Side $side): array
    {
        $boxes = array_map(
            static fn (Pose $p): array => (
                new Projection(HandModel::build($p, null, false), Camera::from($view, $side))
            )->box(),
            $poses,
        );

        return self::window(
            [
                min(array_column($boxes, 0)),
                min(array_column($boxes, 1)),
                max(array_column($boxes, 2)),
                max(array_column($boxes, 3)),
            ],
        );
    }

    /**
     * Where a place travels between the two poses, on screen. A thing and a second hand go straight.
     *
     * @return list<array{float, float, float}>
     */
    private function way(PictureSpec $spec, string $place, Scene $scene, ?Projection $other): array
    {
        if (null === $spec->other || null === $other) {
            return [];
        }
        $path = [];
        $to = Camera::from($spec->view, $spec->side, $spec->shown->turnDegrees());
        for ($i = 0; $i <= self::STEPS; ++$i) {
            $share = $i / self::STEPS;
            if (\in_array($place, ['thing', 'other'], true)) {
                $path[] = Vector::mix(
                    $other->camera->project($other->scene->place($place)),
                    $to->project($scene->place($place)),
                    $share,
                );
                continue;
            }
            $between = $spec->other->towards($spec->shown, $share);
            $path[] = Camera::from(
                $spec->view,
                $spec->side,
                $between->turnDegrees(),
            )->project($between->outline()->place($place));
        }

        return $path;
    }

    /**
     * @param array{float, float, float, float} $all box of everything that is shown
     *
     * @return array{float, float, float} height of the table on screen, and from where to where it goes
     */
    private static function table(PictureSpec $spec, Projection $projection, array $all): array
    {
        $arm = $projection->box('arm');
        if ('edge' === $spec->table) { // the hand hangs past the edge; the forearm lies on the table
            $wrist = $projection->camera->project($projection->scene->place('hand'));
            $towardsHand = $projection->circles[0][0] > $wrist[0] ? 1 : -1;

            return 1 === $towardsHand
                ? [$arm[3], $wrist[0] + 6, $all[2] + self::TABLE_BEYOND]
                : [$arm[3], $all[0] - self::TABLE_BEYOND, $wrist[0] - 6];
        }

        return [$all[3], $all[0] - self::TABLE_BEYOND, $all[2] + self::TABLE_BEYOND / 4];
    }

    /**
     * Where a hand may touch and where it must not, and pushes of another hand that is left out of the picture.
     *
     * @return list<Layer>
     */
    private function zones(string $name, Scene $scene, Camera $camera): array
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
                ...Overlays::zone($camera, $h, new Ellipse(-24, 34, 14, 8, ry: 20), allowed: true),
            ],
            'keep-off-palm' => [
                ...Overlays::zone($camera, $h, new Ellipse(-6, 50, 12, 20, ry: 26), allowed: false),
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
            'back-press' => self::push($camera, $h->at(8, 62, -62), $h->at(8, 62, -20)),
            'lift-press' => self::push($camera, $h->at(6, 60, 72), $h->at(6, 60, 26)),
            'edge-press' => self::push($camera, $h->at(92, 74, 0), $h->at(42, 74, 0)),
            'turn-block-down' => self::push($camera, $arm->at(0, -26, -62), $arm->at(0, -26, -22)),
            'turn-block-up' => self::push($camera, $arm->at(0, -26, 62), $arm->at(0, -26, 22)),
            'pull-apart' => self::push($camera, $arm->at(0, -6, -28), $arm->at(0, -58, -28)),
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
    public static function zoneNames(): array
    {
        return [
            'palm-heel',
            'keep-off-palm',
            'back-press',
            'lift-press',
            'edge-press',
            'turn-block-down',
            'turn-block-up',
            'pull-apart',
        ];
    }

    /**
     * @param array{float, float, float, float} $a
     * @param array{float, float, float, float} $b
     *
     * @return array{float, float, float, float}
     */
    private static function around(array $a, array $b): array
    {
        return [min($a[0], $b[0]), min($a[1], $b[1]), max($a[2], $b[2]), max($a[3], $b[3])];
    }

    /**
     * @param array{float, float, float, float} $box
     *
     * @return array{float, float, float, float} x, y, width, height around the box, five wide to four high
     */
    private static function window(array $box): array
    {
        $height = max(
            ($box[2] - $box[0] + 2 * self::MARGIN) / self::ASPECT,
            $box[3] - $box[1] + 2 * self::MARGIN,
        );
        $width = $height * self::ASPECT;

        return [($box[0] + $box[2] - $width) / 2, ($box[1] + $box[3] - $height) / 2, $width, $height];
    }
}
