<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\Shape;
use HandGarden\Core\Routine\ShapeHand;

/** A shape as it is kept. */
final class ShapeFormat
{
    /** @return array<string, list<array<string, string>>> */
    public static function write(Shape $shape): array
    {
        return [
            'pinned' => self::rungs($shape->pinned),
            'forbidden' => self::rungs($shape->forbidden),
            'focus' => array_map(
                static fn (array $one): array => ['ladder' => $one['ladder'], 'hand' => $one['hand']->value],
                $shape->focus,
            ),
        ];
    }

    /**
     * @param list<array{rung: string, hand: ShapeHand}> $list
     *
     * @return list<array{rung: string, hand: string}>
     */
    private static function rungs(array $list): array
    {
        return array_map(
            static fn (array $one): array => ['rung' => $one['rung'], 'hand' => $one['hand']->value],
            $list,
        );
    }

    /**
     * @param array<string, mixed> $kept
     *
     * @throws InvalidData
     */
    public static function read(array $kept): Shape
    {
        $node = Node::root($kept, 'shape');
        $rungs = static fn (string $list): array => array_map(
            static fn (Node $one): array => [
                'rung' => $one->get('rung')->string(),
                'hand' => $one->get('hand')->enum(ShapeHand::class),
            ],
            $node->get($list)->items(),
        );

        return new Shape(
            $rungs('pinned'),
            $rungs('forbidden'),
            array_map(
                static fn (Node $one): array => [
                    'ladder' => $one->get('ladder')->string(),
                    'hand' => $one->get('hand')->enum(ShapeHand::class),
                ],
                $node->get('focus')->items(),
            ),
        );
    }
}
