<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Levels;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** A dose as named values, in files, in the log and in the database. */
final class DoseFormat
{
    /**
     * @return array{sets: int, repetitions: int, parts: int, move: int, hold: int, rest: int, load: float,
     *     passes?: int, levels?: array<string, int|float|string>}
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
        ] + (1 === $dose->passes ? [] : ['passes' => $dose->passes])
            + ([] === $dose->levels->all() ? [] : ['levels' => $dose->levels->all()]);
    }

    /**
     * @return ?Levels null: none is named
     *
     * @throws InvalidData
     */
    public static function levels(?Node $node): ?Levels
    {
        if (null === $node) {
            return null;
        }
        $levels = Levels::none();
        foreach ($node->map() as $code => $level) {
            try {
                $levels = $levels->with(
                    Challenge::tryFrom($code) ?? throw $level->fail('nothing is made harder by it'),
                    $level->scalar(),
                );
            } catch (InvalidDose $e) {
                throw $level->fail($e->getMessage());
            }
        }

        return $levels;
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
        $node->only('sets', 'repetitions', 'parts', 'move', 'hold', 'rest', 'load', 'passes', 'levels');
        try {
            $dose = Dose::from(
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
            )->timedAs($otherwise);
            $levels = self::levels($node->optional('levels'));

            return null === $levels ? $dose : $dose->atLevels($levels);
        } catch (InvalidDose $e) {
            throw $node->fail($e->getMessage());
        }
    }
}
