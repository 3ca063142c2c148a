<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\Painting;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Tableau;

/** A movement as drawn frames: path data by layer, so that a module only has to hang in the next ones. */
final readonly class FlipBook
{
    private const SHADING = ['wash', 'crease', 'hollow', 'nail-hand', 'nail-both', 'nail-helper'];
    private const MOST_BYTES = 60 * 1024;

    /**
     * @param non-empty-list<Tableau> $moments that it goes through
     * @param list<int>               $stops   which of them each still is
     */
    public function __construct(
        private PictureSpec $spec,
        private array $moments,
        private array $stops,
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
                        array_map(static fn (Tableau $t): array => $t->toArray(), $this->moments),
                    ],
                    \JSON_THROW_ON_ERROR,
                ),
            ),
            0,
            32,
        );
    }

    /**
     * `{paint: {layer: attributes}, stops, frames: [[window, [[layer, path data, even-odd], ...]], ...]}`; `stops` is
     * the frame of each still. Heavy ones have fewer frames and no shading.
     */
    public function draw(): string
    {
        $json = '';
        $each = $this->framesEach();
        $count = (\count($this->moments) - 1) * $each + 1;
        $paintings = (new Painter())->frames(
            $this->spec,
            $this->moments,
            $count,
        );
        foreach ([[1, true], [1, false], [2, false], [$each, false]] as [$every, $whole]) {
            $json = $this->json(
                array_values(
                    array_filter(
                        $paintings,
                        static fn (int $i): bool => 0 === $i % $every,
                        \ARRAY_FILTER_USE_KEY,
                    ),
                ),
                $whole,
                intdiv($each, $every),
            );
            if (\strlen((string) gzencode($json, 6)) <= self::MOST_BYTES) {
                break;
            }
        }

        return $json;
    }

    /** From one moment to the next; divisible by two, so that thinned out every moment stays. */
    private function framesEach(): int
    {
        return match (true) {
            \count($this->moments) < 3 => 12,
            \count($this->moments) < 5 => 6,
            default => 4,
        };
    }

    /** @param list<Painting> $paintings */
    private function json(array $paintings, bool $whole, int $each): string
    {
        $paint = $frames = [];
        foreach ($paintings as $painting) {
            $layers = [];
            foreach ($painting->layers as $layer) {
                if ($whole || !\in_array($layer->class, self::SHADING, true)) {
                    $layers[] = [$layer->class, $layer->data, $layer->evenOdd ? 1 : 0];
                    $paint[$layer->class] ??= SvgWriter::attributesOf($layer->class);
                }
            }
            $frames[] = [array_map(static fn (float $v): float => round($v, 1), $painting->window), $layers];
        }

        return json_encode(
            [
                'paint' => $paint,
                'stops' => array_map(static fn (int $stop): int => $stop * $each, $this->stops),
                'frames' => $frames,
            ],
            \JSON_THROW_ON_ERROR,
        );
    }
}
