<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Drawing\Layer;
use HandGarden\Core\Drawing\Painting;
use HandGarden\Core\Drawing\PathData;

/** Writes a painting as a file of its own: colours as attributes, no style, no script. */
final readonly class SvgWriter
{
    private const INK = '#33213a';
    private const ATTRIBUTES = [
        'table-hatch' => 'fill="none" stroke="#8f8496" stroke-width="1.1"',
        'table-line' => 'fill="none" stroke="'.self::INK.'" stroke-width="1.6"',
        'ghost-fill' => 'fill="#f1f3ee"',
        'ghost-line' => 'fill="none" stroke="#8f8496" stroke-width="1.1" stroke-dasharray="4 3"',
        'fill-hand' => 'fill="#e3eae1"',
        'fill-helper' => 'fill="#ecd5c2"',
        'fill-sleeve' => 'fill="#b3b0c4"',
        'fill-object' => 'fill="#dcc687"',
        'fill-furniture' => 'fill="#ebe8ee"',
        'fill-focus' => 'fill="#f0c878"',
        'sketch-line' => 'fill="none" stroke="'
            .self::INK
            .'" stroke-width="3" stroke-linejoin="round"',
        'wash' => 'fill="'.self::INK.'" fill-opacity=".14"',
        'hollow' => 'fill="'.self::INK.'" fill-opacity=".05"',
        'crease' => 'fill="#7d7284"',
        'nail-hand' => 'fill="#f7f9f5" stroke="#7d7284" stroke-width="1" stroke-linejoin="round"',
        'nail-helper' => 'fill="#faf1e9" stroke="#7d7284" stroke-width="1" stroke-linejoin="round"',
        'ink' => 'fill="'.self::INK.'"',
        'zone-ground' => 'fill="#fff" fill-opacity=".55"',
        'zone-allowed-pattern' => 'fill="#2f6b45"',
        'zone-allowed-rim' => 'fill="none" stroke="#2f6b45" stroke-width="1.2"',
        'zone-off-pattern' => 'fill="none" stroke="#9c3a24" stroke-width=".7"',
        'zone-off-rim' => 'fill="none" stroke="#9c3a24" stroke-width="2" stroke-dasharray="5 2.5"',
        'arrow-halo' => 'fill="#fff" stroke="#fff" stroke-width="2.4" stroke-linejoin="round"',
        'arrow' => 'fill="#2f6b45"',
    ];

    /** @return array<string, string> attributes of a layer, for a picture that a script puts together */
    public static function attributesOf(string $class): array
    {
        preg_match_all('/([a-z-]+)="([^"]*)"/', self::ATTRIBUTES[$class] ?? '', $found);

        return array_combine($found[1], $found[2]);
    }

    /**
     * @return list<array{paint: array<string, string>, d: string}> layers back to front, as a script or a template
     *    hangs them
     */
    public static function layersOf(Painting $painting): array
    {
        return array_map(
            static fn (Layer $l): array => [
                'paint' => self::attributesOf($l->class) + (
                    $l->evenOdd ? ['fill-rule' => 'evenodd'] : []
                ),
                'd' => $l->data,
            ],
            $painting->layers,
        );
    }

    public function write(Painting $painting): string
    {
        [$x, $y, $width, $height] = array_map(PathData::number(...), $painting->window);
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="'
            .$x
            .' '
            .$y
            .' '
            .$width
            .' '
            .$height
            .'" width="'
            .$width
            .'" height="'
            .$height
            .'">';
        foreach ($painting->layers as $layer) {
            $attributes = self::ATTRIBUTES[$layer->class]
                ?? throw new \LogicException(
                    \sprintf('No colour for the layer "%s".', $layer->class),
                );
            $svg .= '<path '.$attributes.(
                $layer->evenOdd ? ' fill-rule="evenodd"' : ''
            ).' d="'.$layer->data.'"/>';
        }

        return $svg.'</svg>';
    }
}
