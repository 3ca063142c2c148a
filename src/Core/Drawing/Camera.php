<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Side;

/**
 * Parallel projection. A left hand is the same scene seen with the right vector negated, never a flipped
 * picture, so that
 * the light stays upper left and words stay readable.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Camera
{
    /**
     * @param Vec $right
     * @param Vec $up
     * @param Vec $toViewer
     */
    private function __construct(
        public array $right,
        public array $up,
        public array $toViewer,
    ) {
    }

    /**
     * @param Vec $toViewer
     * @param Vec $up
     */
    public static function look(array $toViewer, array $up): self
    {
        $to = Vector::unit($toViewer);
        $right = Vector::unit(Vector::cross($up, $to));

        return new self($right, Vector::cross($to, $right), $to);
    }

    /** @param float $turnDegrees of everything about the long axis of the forearm, thumb side towards the palm + */
    public static function from(View $view, Side $side, float $turnDegrees = 0.0): self
    {
        $camera = match ($view) {
            View::Palmar => self::look([0.0, 0.0, 1.0], [0.0, 1.0, 0.0]),
            View::Dorsal => self::look([0.0, 0.0, -1.0], [0.0, 1.0, 0.0]),
            View::Radial => self::look([1.0, 0.0, 0.0], [0.0, 0.0, -1.0]),
            View::RadialUp => self::look([1.0, 0.0, 0.0], [0.0, 1.0, 0.0]),
            View::Three => self::look([.8, .25, -.8], [0.0, 1.0, 0.0]),
            View::ThreePalm => self::look([.75, .25, .8], [0.0, 1.0, 0.0]),
            View::Helper => self::look([.45, .2, -.9], [0.0, 1.0, 0.0]),
            View::PalmUp => self::look([1.0, 0.0, 0.0], [0.0, 0.0, 1.0]),
            View::EdgePalm => self::look([0.0, 0.0, 1.0], [1.0, 0.0, 0.0]),
            View::EdgeBack => self::look([0.0, 0.0, -1.0], [1.0, 0.0, 0.0]),
            View::Table => self::look([.78, .42, -.46], [0.0, 0.0, -1.0]),
            View::TablePalm => self::look([.78, .42, .46], [0.0, 0.0, 1.0]),
            View::Tips => self::look([0.0, .8, .6], [1.0, 0.0, 0.0]),
            View::Front => self::look([0.0, .45, 1.0], [0.0, 1.0, 0.0]),
            View::Side => self::look([-1.0, .1, .12], [0.0, 1.0, 0.0]),
            View::Quarter => self::look([-.62, .3, .75], [0.0, 1.0, 0.0]),
            View::Above => self::look([-.35, .85, .45], [0.0, 1.0, 0.0]),
        };
        if (0.0 !== $turnDegrees) {
            $turn = (new Frame())->roll($turnDegrees);
            $camera = new self(
                $turn->at(...$camera->right),
                $turn->at(...$camera->up),
                $turn->at(...$camera->toViewer),
            );
        }

        return Side::Left === $side
            ? new self(
                Vector::times($camera->right, -1),
                $camera->up,
                $camera->toViewer,
            )
            : $camera;
    }

    /**
     * @param Vec $v
     *
     * @return Vec screen x (right), screen y (down), depth (larger is nearer)
     */
    public function project(array $v): array
    {
        return [Vector::dot($v, $this->right), -Vector::dot($v, $this->up), Vector::dot(
            $v,
            $this->toViewer,
        )];
    }
}
