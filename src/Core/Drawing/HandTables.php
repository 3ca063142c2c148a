<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Sizes of the drawn hand: 190 mm from wrist crease to middle tip. Tuned by eye; change only with all pictures in
 * sight.
 */
final class HandTables
{
    /**
     * Proximal, middle and distal phalanx; of the thumb metacarpal, proximal, distal. Millimetres between joint
     * centres.
     */
    public const LENGTHS = [
        'index' => [46.5, 27.2, 20.5],
        'middle' => [50.5, 32.0, 21.5],
        'ring' => [46.4, 31.0, 21.2],
        'little' => [38.8, 22.5, 18.8],
    ];
    public const THUMB_LENGTHS = [47.0, 35.5, 29.0];

    /** Radii: knuckle, root, mid proximal, PIP, mid middle, DIP, pulp, tip. */
    public const RADII = [
        'index' => [11.6, 10.4, 9.6, 9.5, 8.9, 8.4, 8.3, 6.6],
        'middle' => [12.0, 10.6, 9.8, 9.7, 9.1, 8.6, 8.5, 6.8],
        'ring' => [11.6, 10.1, 9.3, 9.2, 8.6, 8.1, 8.0, 6.4],
        'little' => [10.6, 9.2, 8.4, 8.2, 7.7, 7.3, 7.2, 5.8],
    ];

    /** Knuckle centre in the hand frame, fan (+ radial), roll (+ the palm side turns to the thumb). */
    public const KNUCKLES = [
        'index' => [29.0, 85.0, -2.0, 2.0, -2.0],
        'middle' => [9.0, 88.0, -4.0, 0.0, 0.0],
        'ring' => [-11.0, 83.0, -2.5, -2.0, 2.0],
        'little' => [-27.8, 74.5, 1.0, -4.0, 5.0],
    ];

    public const NEIGHBOURS = [['index', 'middle'], ['middle', 'ring'], ['ring', 'little']];
}
