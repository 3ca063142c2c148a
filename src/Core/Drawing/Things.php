<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Drawing\Solid\Tube;

/**
 * Puts into a scene what is round a hand or figure.
 *
 * @phpstan-import-type Vec from Vector
 */
final class Things
{
    /** @param list<ThingPart|PlacedForm|PlacedFigure> $parts */
    public static function put(Scene $scene, array $parts): void
    {
        foreach ($parts as $part) {
            if (!$part instanceof ThingPart) {
                $part->putInto($scene);
                continue;
            }
            $scene->body = $part->isFurniture ? 'furniture' : 'object';
            $at = array_map(static fn (Place $place): array => $place->in($scene), $part->places);
            self::string($scene, $part, $at);
            if (!$part->isFurniture) {
                $scene->anchors['thing'] ??= $at[0];
            }
        }
        $scene->body = 'hand';
    }

    /** @param non-empty-list<Vec> $at */
    private static function string(Scene $scene, ThingPart $part, array $at): void
    {
        match ($part->kind) {
            ThingKind::Plate => self::plate($scene, $part, $at),
            ThingKind::Band => Tube::along(
                $scene,
                $at,
                $part->sizes,
                $part->tone,
                isClosed: true,
            ),
            ThingKind::Rod, ThingKind::Cord => Tube::along(
                $scene,
                $at,
                $part->sizes,
                $part->tone,
            ),
            ThingKind::Rope => Tube::along(
                $scene,
                $at,
                $part->sizes,
                $part->tone,
                isSmooth: true,
            ),
        };
    }

    /** @param non-empty-list<Vec> $at corners in turn */
    private static function plate(Scene $scene, ThingPart $part, array $at): void
    {
        $scene->beginSolid($part->tone);
        $ids = array_map(static fn (array $p): int => $scene->ball($p, $part->sizes[0]), $at);
        $n = \count($ids);
        for ($i = 2; $i < $n; ++$i) {
            $scene->hull('thing', $ids[0], $ids[$i - 1], $ids[$i]);
        }
        $scene->endSolid();
    }
}
