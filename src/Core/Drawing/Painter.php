<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Side;

/**
 * Draws a picture from its spec.
 *
 * @phpstan-import-type Vec from Vector
 *
 * @phpstan-type Box array{float, float, float, float}
 */
final readonly class Painter
{
    private const STEPS = 14;
    /** A close-up is seen at a third of the size. */
    private const SMALL_WEIGHT = 2.0;
    private const SMALL_TOLERANCE = .35;
    /** Share of the window's height that the disc of a close-up takes. */
    private const INSET = .56;
    /** How far its middle stands off the window, and how much of it the hand fills. */
    private const INSET_BESIDE = .35;
    private const INSET_FILLED = .95;

    public function paint(PictureSpec $spec): Painting
    {
        $camera = $spec->shown->camera($spec->view, $spec->side);
        $scene = $spec->shown->scene();
        $figure = new Figure(
            $scene,
            $camera,
            self::lookOf($spec, $spec->shown),
        );
        $before = $spec->before;
        $other = null === $before
            ? null
            : new Projection(
                $before->scene(),
                $before->camera($spec->view, $spec->side),
            );
        $framing = Framing::of($spec);
        $signs = new Marks($scene, $camera);
        $layers = $framing->table($figure->projection);
        foreach ($spec->shown->marks as $mark) {
            array_push($layers, ...$signs->behind($mark));
        }
        if (null !== $other && $spec->withGhost) {
            array_push(
                $layers,
                ...Overlays::ghost(
                    $other->scene->only('hand'),
                    $other->camera,
                ),
            );
        }
        array_push($layers, ...$figure->layers());
        if (null !== $spec->zones) {
            array_push(
                $layers,
                ...Zones::layers($spec->zones, $scene, $camera),
            );
        }
        if (null !== $before && null !== $other && null !== $spec->trace) {
            $path = $this->way(
                $spec,
                $before,
                $spec->trace,
                $scene,
                other: $other,
            );
            $pivot = $camera->project($scene->place($spec->shown->subject->pivot()));
            array_push($layers, ...Overlays::arrow($path, $pivot));
        }
        foreach ($spec->shown->marks as $mark) {
            array_push($layers, ...$signs->before($mark));
        }
        $window = $framing->window($figure->projection);
        if (null !== $spec->inset) {
            [$window, $closeUp] = $this->inset(
                $spec->inset,
                $window,
                $spec->side,
            );
            array_push($layers, ...$closeUp);
        } elseif ($spec->hasRoomForInset) {
            $window = self::withInset($window, $spec->side);
        }

        return new Painting(
            array_values(array_filter($layers, static fn (Layer $l): bool => '' !== $l->data)),
            $window,
        );
    }

    /**
     * Frames of the movement through these moments, all seen through one window.
     *
     * @param non-empty-list<Tableau> $stops
     *
     * @return list<Painting>
     */
    public function frames(PictureSpec $spec, array $stops, int $count, bool $withMarks = true): array
    {
        $legs = \count($stops) - 1;
        $framing = Framing::of($spec);
        $frames = [];
        for ($i = 0; $i < max(1, $count); ++$i) {
            $share = $i / max(1, $count - 1);
            $leg = min(
                (int) floor($share * $legs),
                max(0, $legs - 1),
            );
            $moment = $legs < 1
                ? $stops[0]
                : $stops[$leg]->towards(
                    $stops[$leg + 1],
                    $share * $legs - $leg,
                );
            $figure = new Figure(
                $moment->scene($withMarks),
                $moment->camera($spec->view, $spec->side),
                self::lookOf($spec, $moment, $withMarks),
            );
            $frames[] = new Painting(
                [...$framing->table($figure->projection), ...$figure->layers()],
                $framing->window($figure->projection),
            );
        }

        return $frames;
    }

    private static function lookOf(PictureSpec $spec, Tableau $moment, bool $withMarks = true): Look
    {
        return new Look(
            $moment->focus,
            $moment->tints,
            $spec->isSmall ? self::SMALL_WEIGHT : $spec->weight,
            $withMarks && !$spec->isSmall,
            tolerance: $spec->isSmall ? self::SMALL_TOLERANCE : Polyline::TOLERANCE,
        );
    }

    /** Light drawing for a live pose: flesh and silhouette, digit by digit from far to near. */
    public function sketch(Pose $pose, View $view, Side $side): Painting
    {
        $projection = new Projection(
            HandModel::build($pose, null, false),
            Camera::from($view, $side),
        );

        return new Painting(
            (new Sketch($projection))->layers(),
            Framing::around($projection->box()),
        );
    }

    /**
     * One window in which all of these poses fit, so that a moving hand moves and its picture does not.
     *
     * @param non-empty-list<Pose> $poses
     *
     * @return Box
     */
    public function windowOf(array $poses, View $view, Side $side): array
    {
        $box = [\INF, \INF, -\INF, -\INF];
        foreach ($poses as $pose) {
            $scene = HandModel::build($pose, null, false);
            $box = Framing::both(
                $box,
                (new Projection($scene, Camera::from($view, $side)))->box(),
            );
        }

        return Framing::around($box);
    }

    /**
     * A close-up in a disc at the lower right, scaled to fit.
     *
     * @param Box $window
     *
     * @return array{Box, list<Layer>} the window with room for it
     */
    private function inset(PictureSpec $spec, array $window, Side $side): array
    {
        [$x, $y, $width, $height] = $window;
        $painting = $this->paint($spec);
        [$u, $v, $w, $h] = $painting->window;
        $radius = $height * self::INSET / 2;
        $beside = Side::Left === $side ? $x : $x + $width;
        $centre = [$beside + (Side::Left === $side ? -1 : 1) * $radius * self::INSET_BESIDE, $y + $radius];
        $scale = 2 * $radius / $h * self::INSET_FILLED;
        $move = \sprintf(
            'translate(%s %s) scale(%s)',
            PathData::number($centre[0] - $scale * ($u + $w / 2)),
            PathData::number($centre[1] - $scale * ($v + $h / 2)),
            number_format($scale, 3, '.', ''),
        );
        $disc = Marks::disc($centre[0], $centre[1], $radius);
        $layers = [new Layer('inset-ground', $disc)];
        foreach ($painting->layers as $layer) {
            $layers[] = $layer->moved($move, $disc);
        }

        return [self::withInset($window, $side), [...$layers, new Layer('inset-rim', $disc)]];
    }

    /**
     * @param Box $window
     *
     * @return Box the same for every still of a strip, also for those without a close-up
     */
    private static function withInset(array $window, Side $side): array
    {
        [$x, $y, $width, $height] = $window;
        $more = $height * self::INSET / 2 * (1 + self::INSET_BESIDE) + 2;
        $left = Side::Left === $side ? $x - $more : $x;

        return Framing::around(
            [$left, $y, $left + $width + $more, $y + $height],
            0.0,
        );
    }

    /**
     * Where a place travels between the two moments, on screen. A thing and a second hand go straight.
     *
     * @return list<Vec>
     */
    private function way(
        PictureSpec $spec,
        Tableau $before,
        string $place,
        Scene $scene,
        Projection $other,
    ): array {
        $path = [];
        $to = $spec->shown->camera($spec->view, $spec->side);
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
            $between = new Tableau($before->subject->towards($spec->shown->subject, $share));
            $path[] = $between->camera($spec->view, $spec->side)->project(
                $between->subject->outline()->place($place),
            );
        }

        return $path;
    }
}
