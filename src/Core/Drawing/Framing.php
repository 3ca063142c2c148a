<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * The window of a strip: it holds what has to be seen of every moment, so that nothing jumps from one still to the
 * next; and the table, which is the same height in all of them.
 *
 * @phpstan-type Box array{float, float, float, float}
 */
final readonly class Framing
{
    private const MARGIN = 9.0;
    private const ASPECT = 1.25;
    private const TABLE_BEYOND = 20.0;
    private const TABLE_THICK = 8.0;
    /** Room for the arrow beside a way. */
    private const ARROW = 15.0;
    private const NOTHING = [\INF, \INF, -\INF, -\INF];

    /**
     * @param Box   $box
     * @param float $ground height of the table on screen
     */
    private function __construct(
        private PictureSpec $spec,
        private array $box,
        private float $ground,
    ) {
    }

    public static function of(PictureSpec $spec): self
    {
        $box = self::NOTHING;
        $ground = -\INF;
        $seen = [];
        foreach ([] === $spec->strip ? [$spec->shown] : $spec->strip as $moment) {
            $projection = new Projection(
                $moment->scene(false),
                $moment->camera($spec->view, $spec->side),
            );
            $own = self::cropped($spec, $projection);
            foreach ($moment->marks as $mark) {
                $own = self::both(
                    $own,
                    (new Marks($projection->scene, $projection->camera))->box($mark),
                );
            }
            $seen[] = [$own, $bottom = self::bottomOf($projection)];
            $ground = max($ground, $bottom);
        }
        foreach ($seen as [$own, $bottom]) {
            $sink = $spec->isGrounded ? $ground - $bottom : 0.0;
            $box = self::both(
                $box,
                [$own[0], $own[1] + $sink, $own[2], $own[3] + $sink],
            );
        }
        foreach ([] === $spec->crop ? $spec->ways : [] as [$from, $to, $place]) {
            $box = self::both(
                $box,
                self::wayOf(
                    $spec,
                    $spec->strip[$from],
                    $spec->strip[$to],
                    $place,
                ),
            );
        }
        if (null !== $spec->table) {
            $box = self::both(
                $box,
                [
                    $box[0] - self::TABLE_BEYOND / 4,
                    $ground,
                    $box[2] + self::TABLE_BEYOND / 4,
                    $ground + self::TABLE_THICK,
                ],
            );
        }

        return new self($spec, $box, $ground);
    }

    /** @return Box x, y, width, height */
    public function window(Projection $shown): array
    {
        $box = $this->box;
        $sink = $this->sinkOf($shown);

        return self::around([$box[0], $box[1] - $sink, $box[2], $box[3] - $sink]);
    }

    /** @return list<Layer> the table as a line under what is shown */
    public function table(Projection $shown): array
    {
        if (null === $this->spec->table) {
            return [];
        }
        [$left, , $right] = $this->box;
        if ('edge' !== $this->spec->table) {
            return Overlays::table(
                $this->ground - $this->sinkOf($shown),
                $left - 2,
                $right + 2,
            );
        }
        $arm = $shown->box('arm', 'hand'); // the hand hangs past the edge; the forearm lies on the table
        $wrist = $shown->camera->project($shown->scene->place('hand'))[0];

        return $shown->circles[0][0] > $wrist
            ? Overlays::table(
                $arm[3],
                $wrist + 6,
                $right + self::TABLE_BEYOND,
            )
            : Overlays::table(
                $arm[3],
                $left - self::TABLE_BEYOND,
                $wrist - 6,
            );
    }

    /**
     * @param Box $box
     *
     * @return Box x, y, width, height around the box, five wide to four high
     */
    public static function around(array $box, float $margin = self::MARGIN): array
    {
        $height = max(
            ($box[2] - $box[0] + 2 * $margin) / self::ASPECT,
            $box[3] - $box[1] + 2 * $margin,
        );
        $width = $height * self::ASPECT;

        return [($box[0] + $box[2] - $width) / 2, ($box[1] + $box[3] - $height) / 2, $width, $height];
    }

    /**
     * @param Box $a
     * @param Box $b
     *
     * @return Box
     */
    public static function both(array $a, array $b): array
    {
        return [min($a[0], $b[0]), min($a[1], $b[1]), max($a[2], $b[2]), max($a[3], $b[3])];
    }

    /** How far above the ground this moment is drawn in its own place. */
    private function sinkOf(Projection $shown): float
    {
        return $this->spec->isGrounded ? $this->ground - self::bottomOf($shown) : 0.0;
    }

    /** Where the client's hand and the things end below; a helping hand may reach past the table. */
    private static function bottomOf(Projection $projection): float
    {
        return max(
            $projection->box('hand')[3],
            $projection->box('object')[3],
        );
    }

    /** @return Box */
    private static function cropped(PictureSpec $spec, Projection $projection): array
    {
        if ([] === $spec->crop) {
            return $projection->box();
        }
        $room = $spec->cropMillimetres;
        $box = self::NOTHING;
        foreach ($spec->crop as $place) {
            [$x, $y] = $projection->camera->project($place->in($projection->scene));
            $box = self::both(
                $box,
                [$x - $room, $y - $room, $x + $room, $y + $room],
            );
        }

        return $box;
    }

    /** @return Box round the way of a place, halfway and before its end, with room for its arrow */
    private static function wayOf(PictureSpec $spec, Tableau $before, Tableau $after, string $place): array
    {
        $box = self::NOTHING;
        foreach (\in_array($place, ['thing', 'other'], true) ? [] : [.35, .65] as $share) {
            $between = $before->subject->towards(
                $after->subject,
                $share,
            );
            $at = (new Tableau($between))->camera($spec->view, $spec->side)->project(
                $between->outline()->place($place),
            );
            $box = self::both($box, [
                $at[0] - self::ARROW, $at[1] - self::ARROW, $at[0] + self::ARROW, $at[1] + self::ARROW,
            ]);
        }

        return $box;
    }
}
