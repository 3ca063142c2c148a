<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Technique;
use HandGarden\Core\Catalogue\Techniques;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads what helpers are taught. */
final readonly class TechniqueReader
{
    /** @throws InvalidData naming file and path */
    public static function read(Node $file): Techniques
    {
        $file->only('common', 'anywhere', 'techniques');
        $common = self::words($file->get('common'));
        $all = $seen = [];
        foreach ($file->get('techniques')->map() as $key => $node) {
            $technique = self::technique($key, $node);
            foreach ($technique->ids as $id) {
                if (isset($seen[$id])) {
                    throw $node->fail(\sprintf('%s is taught with %s already', $id, $seen[$id]));
                }
                $seen[$id] = $key;
            }
            if ([] !== array_intersect_key($technique->points, $common)) {
                throw $node->get('points')->fail('a point has a key of its own');
            }
            $all[$key] = $technique;
        }

        return new Techniques($all, $common, $file->get('anywhere')->strings());
    }

    private static function technique(string $key, Node $node): Technique
    {
        $node->only('label', 'rungs', 'parts', 'shown', 'points', 'lines');
        $ids = $node->get('rungs')->strings();
        foreach ($node->optional('parts')?->map() ?? [] as $task => $parts) {
            foreach ($parts->strings() as $part) {
                $ids[] = $task.'.'.$part;
            }
        }

        return new Technique(
            $key,
            $node->get('label')->string(),
            [] === $ids ? throw $node->fail('teaches nothing') : $ids,
            $node->get('shown')->string(),
            points: self::words($node->get('points')),
            lines: $node->get('lines')->strings(),
        );
    }

    /** @return array<string, string> */
    private static function words(Node $node): array
    {
        return array_map(static fn (Node $words): string => $words->string(), $node->map());
    }
}
