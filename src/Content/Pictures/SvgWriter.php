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
        'fill-skin' => 'fill="#ecd5c2"',
        'fill-both' => 'fill="#c3d3bf"',
        'fill-metal' => 'fill="#c3c9d2"',
        'fill-wood' => 'fill="#d3ad7c"',
        'fill-water' => 'fill="#a9cbe0"',
        'fill-glass' => 'fill="#e6f0f4"',
        'fill-china' => 'fill="#f4efe2"',
        'fill-blue' => 'fill="#8fa6c9"',
        'fill-bluelight' => 'fill="#c3d0e4"',
        'fill-red' => 'fill="#d9775f"',
        'fill-putty' => 'fill="#9fc0b9"',
        'fill-cloth' => 'fill="#c9b8d6"',
        'fill-paper' => 'fill="#fdfbf5"',
        'fill-dark' => 'fill="#5d5166"',
        'fill-band' => 'fill="#d9775f"',
        'fill-foam' => 'fill="#f0d879"',
        'fill-green' => 'fill="#9dbb7a"',
        'fill-dress' => 'fill="#d8d3e3"',
        'fill-trousers' => 'fill="#b9b6c6"',
        'fill-hair' => 'fill="#6d5a4d"',
        'patch-inside' => 'fill="#4d4356" fill-opacity=".55"',
        'patch-shade' => 'fill="'.self::INK.'" fill-opacity=".17"',
        'patch-light' => 'fill="#fff" fill-opacity=".45"',
        'patch-dark' => 'fill="'.self::INK.'" fill-opacity=".85"',
        'patch-water' => 'fill="#a9cbe0"',
        'patch-nail' => 'fill="#f7f9f5"',
        'patch-white' => 'fill="#fff"',
        'patch-red' => 'fill="#d9775f"',
        'patch-blue' => 'fill="#8fa6c9"',
        'sketch-line' => 'fill="none" stroke="'
            .self::INK
            .'" stroke-width="3" stroke-linejoin="round"',
        'wash' => 'fill="'.self::INK.'" fill-opacity=".14"',
        'hollow' => 'fill="'.self::INK.'" fill-opacity=".05"',
        'crease' => 'fill="#7d7284"',
        'nail-hand' => 'fill="#f7f9f5" stroke="#7d7284" stroke-width="1" stroke-linejoin="round"',
        'nail-both' => 'fill="#e9f0e6" stroke="#7d7284" stroke-width="1" stroke-linejoin="round"',
        'nail-helper' => 'fill="#faf1e9" stroke="#7d7284" stroke-width="1" stroke-linejoin="round"',
        'ink' => 'fill="'.self::INK.'"',
        'zone-ground' => 'fill="#fff" fill-opacity=".55"',
        'zone-allowed-pattern' => 'fill="#2f6b45"',
        'zone-allowed-rim' => 'fill="none" stroke="#2f6b45" stroke-width="1.2"',
        'zone-off-pattern' => 'fill="none" stroke="#9c3a24" stroke-width=".7"',
        'zone-off-rim' => 'fill="none" stroke="#9c3a24" stroke-width="2" stroke-dasharray="5 2.5"',
        'arrow-halo' => 'fill="#fff" stroke="#fff" stroke-width="2.4" stroke-linejoin="round"',
        'arrow' => 'fill="#2f6b45"',
        'path' => 'fill="#2f6b45"',
        'water' => 'fill="#5f93b5"',
        'figure' => 'fill="#2f6b45"',
        'line-dots' => 'fill="none" stroke="'
            .self::INK
            .'" stroke-width="1.4" stroke-dasharray="1.5 3.5" stroke-linecap="round"',
        'ring-halo' => 'fill="none" stroke="#fff" stroke-width="5"',
        'ring' => 'fill="none" stroke="#9c3a24" stroke-width="2.4"',
        'contact-halo' => 'fill="#fff" fill-opacity=".7" stroke="#fff" stroke-width="3"',
        'contact' => 'fill="none" stroke="#2f6b45" stroke-width="1.6"',
        'glow' => 'fill="#f0c878" fill-opacity=".35"',
        'breath' => 'fill="#d7e6ef" fill-opacity=".8" stroke="#5f93b5" stroke-width="1.6"',
        'inset-ground' => 'fill="#fff"',
        'inset-rim' => 'fill="none" stroke="'.self::INK.'" stroke-width="1.6"',
    ];

    /** @return array<string, string> attributes of a layer, for a picture that a script puts together */
    public static function attributesOf(string $class): array
    {
        preg_match_all(
            '/([a-z-]+)="([^"]*)"/',
            self::ATTRIBUTES[$class] ?? '',
            $found,
        );

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
        [$x, $y, $width, $height] = array_map(
            PathData::number(...),
            $painting->window,
        );
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
        $within = '';
        foreach ($painting->layers as $layer) {
            if ($layer->within !== $within) {
                $svg .= ('' === $within ? '' : '</g>').self::clip($layer->within);
                $within = $layer->within;
            }
            $attributes = self::ATTRIBUTES[$layer->class]
                ?? throw new \LogicException(\sprintf('No colour for the layer "%s".', $layer->class));
            $svg .= '<path '.$attributes
                .($layer->evenOdd ? ' fill-rule="evenodd"' : '')
                .('' === $layer->moved ? '' : ' transform="'.$layer->moved.'"')
                .' d="'.$layer->data.'"/>';
        }

        return $svg.('' === $within ? '' : '</g>').'</svg>';
    }

    /**
     * Begins what is only seen within an outline; its name is made from it, so that equal names are equal outlines.
     * What makes the paper knows no clipping and would paint the outline black: it has no fill.
     */
    private static function clip(string $outline): string
    {
        $name = 'in'.hash('crc32b', $outline);

        return '' === $outline
            ? ''
            : '<clipPath id="'.$name.'"><path fill="none" d="'.$outline.'"/></clipPath>'
                .'<g clip-path="url(#'.$name.')">';
    }
}
