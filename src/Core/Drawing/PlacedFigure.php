<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Another person in the picture: a helper behind, a companion beside. */
final readonly class PlacedFigure
{
    public function __construct(
        public BodyPose $pose,
        public Place $at,
    ) {
    }

    public function putInto(Scene $scene): void
    {
        $at = (new Frame())->atOrigin($this->at->in($scene));
        Placing::hand($scene, $this->pose->scene(), $at, body: 'helper');
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['figure' => $this->pose->toArray(), 'at' => $this->at->toArray()];
    }
}
