<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Assessment\Chart\InkChart;
use HandGarden\Content\Format\InkFormat;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\InkTask;

/** Recorded drawings, drawn again; of several the first and the last lie over each other. */
final class InkCharts
{
    /** @param list<Recording> $chosen earlier first */
    public static function of(InkTask $task, array $chosen): ?Chart
    {
        if ([] === $chosen) {
            return null;
        }
        $last = $chosen[\count($chosen) - 1];
        $node = Node::fromJson($last->raw);
        $says = self::saysOf($last);
        $earlier = null;
        if (\count($chosen) > 1 && $chosen[0] !== $last) {
            $earlier = InkFormat::sheet(
                Node::fromJson($chosen[0]->raw),
            );
            $says = \sprintf(
                'Dashed, %s: %s Full, %s: %s',
                $chosen[0]->onDay->format('j M'),
                self::saysOf($chosen[0]),
                $last->onDay->format('j M'),
                $says,
            );
        }

        return InkChart::from(
            $task->label().', '.$last->side->value.' hand',
            $says,
            InkFormat::sheet($node),
            $task->isGuided() ? InkFormat::guide($node->get('guide')) : null,
            earlier: $earlier,
        );
    }

    private static function saysOf(Recording $record): string
    {
        $says = $record->found['says'] ?? '';

        return \is_string($says) ? $says : '';
    }
}
