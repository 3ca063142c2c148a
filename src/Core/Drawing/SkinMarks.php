<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Creases, palm lines, tendons and nails, as far as the skin they lie on is visible.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class SkinMarks
{
    private const PALM_LINE_SHARE = .45;
    private const HOLLOW_SHARE = .8;

    public function __construct(
        private Projection $projection,
        private float $weight,
    ) {
    }

    /** @return list<Layer> */
    public function layers(): array
    {
        $crease = $hollow = '';
        $nails = [];
        foreach ($this->projection->scene->marks as [$kind, $points, $body]) {
            $placed = [];
            $runs = [];
            $run = [];
            $seen = 0;
            foreach ($points as [$place, $normal]) {
                $q = $this->projection->camera->project($place);
                $placed[] = $q;
                if ($this->projection->isSeen($q, $normal)) {
                    $run[] = $q;
                    ++$seen;
                } else {
                    if (\count($run) > 1) {
                        $runs[] = $run;
                    }
                    $run = [];
                }
            }
            if (\count($run) > 1) {
                $runs[] = $run;
            }
            $n = \count($placed);
            if ('nail' === $kind) {
                $nails[$body] = ($nails[$body] ?? '').$this->nail($placed, $runs, $seen);
            } elseif ('hollow' === $kind) {
                $hollow .= $seen > self::HOLLOW_SHARE * $n ? PathData::from($placed) : '';
            } elseif (
                'palm' !== $kind
                || $seen >= self::PALM_LINE_SHARE * $n
            ) { // the rest of a palm line only confuses
                $crease .= $this->strokes($kind, $runs);
            }
        }
        $layers = [new Layer('hollow', $hollow), new Layer('crease', $crease)];
        foreach ($nails as $body => $data) {
            $layers[] = new Layer('nail-'.$body, $data);
        }

        return $layers;
    }

    /**
     * @param list<Vec>       $outline
     * @param list<list<Vec>> $runs
     */
    private function nail(array $outline, array $runs, int $seen): string
    {
        if ($seen < 4) {
            return '';
        }
        $whole = $seen >= \count($outline) - 1;
        $data = '';
        foreach ($whole ? [$outline] : $runs as $run) {
            $data .= PathData::from($run, $whole);
        }

        return $data;
    }

    /** @param list<list<Vec>> $runs */
    private function strokes(string $kind, array $runs): string
    {
        $width = $this->weight * match ($kind) {
            'palm' => 1.25,
            'tendon' => .6,
            default => .95,
        };
        $data = '';
        foreach ($runs as $run) {
            $line = \count($run) > 2 ? Polyline::resample($run, 1) : $run;
            $data .= PathData::ribbon(
                $line,
                static fn (float $t): float => $width * (.25 + .75 * sin(\M_PI * $t)),
            );
        }

        return $data;
    }
}
