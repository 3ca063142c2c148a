<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Vector;

/**
 * A flat piece with an outline, lines and tinted fields on it: paper, cloth, blade, shell, shirt.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Sheet implements Solid
{
    /**
     * @param non-empty-list<Vec>                          $corners in turn, convex
     * @param list<non-empty-list<Vec>>                    $lines   inked on it
     * @param list<array{string, non-empty-list<Vec>}>     $fields  tint and corners
     */
    public function __construct(
        public array $corners,
        public float $halfThickness = .8,
        public ?string $tone = null,
        public array $lines = [],
        public array $fields = [],
    ) {
    }

    public function addTo(Scene $scene, Frame $axes): void
    {
        $scene->beginSolid($this->tone);
        $ids = array_map(
            fn (array $p): int => $scene->ball($axes->at(...$p), $this->halfThickness),
            $this->corners,
        );
        for ($i = 2, $n = \count($ids); $i < $n; ++$i) {
            $scene->hull('thing', $ids[0], $ids[$i - 1], $ids[$i]);
        }
        foreach ($this->fields as [$tone, $corners]) {
            $scene->patch(self::on($axes, $corners), null, $tone);
        }
        foreach ($this->lines as $line) {
            $scene->edge(self::on($axes, $line));
        }
        $scene->endSolid();
    }

    /**
     * @param non-empty-list<Vec> $points
     *
     * @return non-empty-list<Vec>
     */
    private static function on(Frame $axes, array $points): array
    {
        return array_map(static fn (array $p): array => $axes->at(...$p), $points);
    }

    public function toArray(): array
    {
        return ['sheet' => get_object_vars($this)];
    }
}
