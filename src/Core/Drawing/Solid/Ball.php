<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Vector;

/**
 * A ball: plain, with knobs, with a round mark, a seam or a gleam.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Ball implements Solid
{
    private const KNOBS = 34;
    private const GOLDEN_ANGLE = 2.399963;
    private const MARK_ABOVE = .3;

    /**
     * @param Vec   $at
     * @param ?Vec  $mark   direction in which a dark mark lies
     * @param ?Vec  $seam   direction about which a seam runs
     * @param ?Vec  $gleam  direction in which it shines
     * @param float $knobMillimetres 0: smooth
     */
    public function __construct(
        public array $at,
        public float $radius,
        public ?string $tone = null,
        public float $knobMillimetres = 0.0,
        public ?array $mark = null,
        public ?array $seam = null,
        public ?array $gleam = null,
    ) {
    }

    public function addTo(Scene $scene, Frame $axes): void
    {
        $centre = $axes->at(...$this->at);
        $scene->beginSolid($this->tone);
        $scene->hull('thing', $scene->ball($centre, $this->radius));
        $ball = $axes->atOrigin($centre);
        for ($k = 0; $k < self::KNOBS && $this->knobMillimetres > 0.0; ++$k) {
            $this->knob($scene, $ball, $k);
        }
        if (null !== $this->mark) {
            $scene->patch(...$this->disc($ball, $this->mark, .36, 'dark'));
        }
        if (null !== $this->gleam) {
            $scene->patch(...$this->disc($ball, $this->gleam, .22, 'light'));
        }
        if (null !== $this->seam) {
            $scene->edge(Circle::of(Circle::facing($ball, $this->seam), $this->radius + self::MARK_ABOVE));
        }
        $scene->endSolid();
    }

    public function toArray(): array
    {
        return ['ball' => get_object_vars($this)];
    }

    private function knob(Scene $scene, Frame $ball, int $nth): void
    {
        $y = 1 - 2 * ($nth + .5) / self::KNOBS;
        $across = sqrt(1 - $y * $y);
        $turn = self::GOLDEN_ANGLE * $nth;
        $out = [$across * cos($turn), $y, $across * sin($turn)];
        $at = Vector::times($out, $this->radius);
        $scene->hull(
            'thing',
            $scene->ball($ball->at(...$at), $this->knobMillimetres),
        );
        $base = Circle::facing($ball->move(...$at), $out);
        $scene->edge(Circle::of($base, $this->knobMillimetres, 8), .7);
    }

    /**
     * @param Vec $towards
     *
     * @return array{non-empty-list<Vec>, Vec, string}
     */
    private function disc(Frame $ball, array $towards, float $share, string $tone): array
    {
        $out = Vector::unit($towards);
        $height = sqrt(1 - $share * $share);
        $base = Circle::facing(
            $ball->move(...Vector::times($out, $this->radius * $height)),
            $out,
        );

        return [Circle::of($base, $this->radius * $share), $base->y, $tone];
    }
}
