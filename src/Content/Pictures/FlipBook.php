<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\Painting;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Subject;

/** A movement as drawn frames: path data by layer, so that a module only has to hang in the next ones. */
final readonly class FlipBook
{
    /** Divisible by two and by three, and one: thinned out, the first and the last stay. */
    private const FRAMES = 13;
    private const SHADING = ['wash', 'crease', 'hollow', 'nail-hand', 'nail-helper'];
    private const MOST_BYTES = 60 * 1024;

    /** @param list<Subject> $via */
    public function __construct(
        private PictureSpec $spec,
        private array $via,
    ) {
    }

    public function hash(): string
    {
        return substr(
            hash(
                'sha256',
                json_encode(
                    [
                        'book',
                        $this->spec->toArray(),
                        array_map(static fn (Subject $s): array => $s->toArray(), $this->via),
                    ],
                    \JSON_THROW_ON_ERROR,
                ),
            ),
            0,
            32,
        );
    }

    /**
     * `{window, paint: {layer: attributes}, frames: [[[layer, path data, even-odd], ...], ...]}`; heavy ones have
     * fewer frames and no shading.
     */
    public function draw(): string
    {
        $json = '';
        $paintings = (new Painter())->frames($this->spec, $this->via, self::FRAMES);
        foreach ([[1, true], [1, false], [2, false], [3, false]] as [$every, $whole]) {
            $json = self::json(
                array_values(
                    array_filter(
                        $paintings,
                        static fn (int $i): bool => 0 === $i % $every,
                        \ARRAY_FILTER_USE_KEY,
                    ),
                ),
                $whole,
            );
            if (\strlen((string) gzencode($json, 6)) <= self::MOST_BYTES) {
                break;
            }
        }

        return $json;
    }

    /** @param list<Painting> $paintings */
    private static function json(array $paintings, bool $whole): string
    {
        $paint = $frames = [];
        foreach ($paintings as $painting) {
            $frame = [];
            foreach ($painting->layers as $layer) {
                if ($whole || !\in_array($layer->class, self::SHADING, true)) {
                    $frame[] = [$layer->class, $layer->data, $layer->evenOdd ? 1 : 0];
                    $paint[$layer->class] ??= SvgWriter::attributesOf($layer->class);
                }
            }
            $frames[] = $frame;
        }

        return json_encode(
            [
                'window' => array_map(
                    static fn (float $v): float => round($v, 1),
                    $paintings[0]->window ?? [],
                ),
                'paint' => $paint,
                'frames' => $frames,
            ],
            \JSON_THROW_ON_ERROR,
        );
    }
}
