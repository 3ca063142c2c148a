<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\Solid\Ball;
use HandGarden\Core\Drawing\Solid\Block;
use HandGarden\Core\Drawing\Solid\Lathe;
use HandGarden\Core\Drawing\Solid\Sheet;
use HandGarden\Core\Drawing\Solid\Solid;
use HandGarden\Core\Drawing\Solid\Tube;

/**
 * Reads what things are made of: simple shapes in the axes of the thing.
 *
 * @phpstan-import-type Vec from \HandGarden\Core\Drawing\Vector
 */
final class SolidReader
{
    private const ORIGIN = [0.0, 0.0, 0.0];

    /**
     * @return non-empty-list<Solid>
     *
     * @throws InvalidData naming the part
     */
    public static function solids(Node $node): array
    {
        $solids = array_map(self::solid(...), $node->items());

        return [] === $solids ? throw $node->fail('a form has one part or more') : $solids;
    }

    private static function solid(Node $node): Solid
    {
        return match ($node->get('kind')->string()) {
            'ball' => self::ball($node),
            'lathe' => self::lathe($node),
            'tube' => self::tube($node),
            'block' => self::block($node),
            'sheet' => self::sheet($node),
            default => throw $node->get('kind')->fail('expected ball, lathe, tube, block or sheet'),
        };
    }

    private static function ball(Node $node): Ball
    {
        $node->only('kind', 'at', 'radius', 'tone', 'knobs', 'mark', 'seam', 'gleam');

        return new Ball(
            DrawingReader::numbers($node->optional('at')) ?? self::ORIGIN,
            $node->get('radius')->float(.5, 200),
            $node->optional('tone')?->string(),
            $node->optional('knobs')?->float(0, 10) ?? 0.0,
            mark: DrawingReader::numbers($node->optional('mark')),
            seam: DrawingReader::numbers($node->optional('seam')),
            gleam: DrawingReader::numbers($node->optional('gleam')),
        );
    }

    private static function lathe(Node $node): Lathe
    {
        $node->only('kind', 'at', 'along', 'profile', 'tones', 'open', 'lines', 'sides', 'edge', 'face');
        $rows = [];
        foreach ($node->get('profile')->items() as $row) {
            $pair = $row->floats();
            $rows[] = 2 === \count($pair)
                ? [$pair[0], $pair[1]]
                : throw $row->fail(
                    'expected height and radius',
                );
        }
        if (\count($rows) < 2) {
            throw $node->get('profile')->fail('expected two rows or more');
        }

        return new Lathe(
            DrawingReader::numbers($node->optional('at')) ?? self::ORIGIN,
            DrawingReader::numbers($node->optional('along')) ?? [0.0, 1.0, 0.0],
            $rows,
            $node->optional('tones')?->strings() ?? [],
            isOpen: $node->optional('open')?->bool() ?? false,
            lines: $node->optional('lines')?->floats() ?? [],
            sides: $node->optional('sides')?->int(3, 40) ?? 0,
            edge: $node->optional('edge')?->float(.05, 20) ?? 1.0,
            face: $node->optional('face')?->string(),
        );
    }

    private static function tube(Node $node): Tube
    {
        $node->only('kind', 'through', 'radius', 'tone', 'closed', 'smooth');
        $radii = $node->get('radius')->floats();
        if ([] === $radii || min($radii) <= 0) {
            throw $node->get('radius')->fail('expected radii above 0');
        }

        return new Tube(
            self::points($node->get('through'), 2),
            $radii,
            $node->optional('tone')?->string(),
            isClosed: $node->optional('closed')?->bool() ?? false,
            isSmooth: $node->optional('smooth')?->bool() ?? false,
        );
    }

    private static function block(Node $node): Block
    {
        $node->only('kind', 'at', 'size', 'tone', 'edge', 'mark', 'pores');

        return new Block(
            DrawingReader::numbers($node->optional('at')) ?? self::ORIGIN,
            DrawingReader::numbers($node->get('size')) ?? self::ORIGIN,
            $node->optional('tone')?->string(),
            $node->optional('edge')?->float(.1, 20) ?? 2.0,
            mark: $node->optional('mark')?->string(),
            pores: $node->optional('pores')?->bool() ?? false,
        );
    }

    private static function sheet(Node $node): Sheet
    {
        $node->only('kind', 'corners', 'half', 'tone', 'lines', 'fields');
        $fields = [];
        foreach ($node->optional('fields')?->items() ?? [] as $field) {
            $field->only('tone', 'corners');
            $fields[] = [$field->get('tone')->string(), self::points($field->get('corners'), 3)];
        }

        return new Sheet(
            self::points($node->get('corners'), 3),
            $node->optional('half')?->float(.2, 20) ?? .8,
            $node->optional('tone')?->string(),
            array_map(
                static fn (Node $line): array => self::points($line, 2),
                $node->optional('lines')?->items() ?? [],
            ),
            fields: $fields,
        );
    }

    /** @return non-empty-list<Vec> */
    private static function points(Node $node, int $fewest): array
    {
        $points = array_map(
            static fn (Node $point): array => DrawingReader::numbers($point) ?? self::ORIGIN,
            $node->items(),
        );

        return \count($points) < max(1, $fewest)
            ? throw $node->fail(\sprintf('expected %d points or more', $fewest))
            : $points;
    }
}
