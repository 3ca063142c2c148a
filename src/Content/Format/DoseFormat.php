<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** A dose as named values, in files, in the log and in the database. */
final class DoseFormat
{
    /**
     * @return array{sets: int, repetitions: int, parts: int, move: int, hold: int, rest: int, load: float,
     *     passes?: int}
     */
    public static function write(Dose $dose): array
    {
        return [
            'sets' => $dose->sets,
            'repetitions' => $dose->repetitions,
            'parts' => $dose->parts,
            'move' => $dose->moveSeconds,
            'hold' => $dose->holdSeconds,
            'rest' => $dose->restSeconds,
            'load' => $dose->loadKilograms,
        ] + (1 === $dose->passes ? [] : ['passes' => $dose->passes]);
    }

    /**
     * What is not named stays as in the given dose.
     *
     * @throws InvalidData
     */
    public static function read(?Node $node, Dose $otherwise): Dose
    {
        if (null === $node) {
            return $otherwise;
        }
        $node->only('sets', 'repetitions', 'parts', 'move', 'hold', 'rest', 'load', 'passes');
        try {
            return Dose::from(
                $node->optional('sets')?->int() ?? $otherwise->sets,
                $node->optional('repetitions')?->int() ?? $otherwise->repetitions,
                $node->optional('parts')?->int() ?? $otherwise->parts,
                $node->optional('move')?->int() ?? $otherwise->moveSeconds,
                holdSeconds: $node->optional('hold')?->int() ?? $otherwise->holdSeconds,
                restSeconds: $node->optional('rest')?->int() ?? $otherwise->restSeconds,
                loadKilograms: $node->optional('load')?->float() ?? $otherwise->loadKilograms,
                passes: $node->optional('passes')?->int() ?? $otherwise->passes,
                betweenSeconds: $otherwise->betweenSeconds,
                tailSeconds: $otherwise->tailSeconds,
            );
        } catch (InvalidDose $e) {
            throw $node->fail($e->getMessage());
        }
    }
}
