<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Core\Data\Node;
use HandGarden\Web\Wording;

/** A chart as it is frozen in a report: with its words, which no translation changes later. */
final readonly class ChartFormat
{
    public function __construct(
        private Wording $wording,
    ) {
    }

    /** @return array<string, mixed> */
    public function write(Chart $chart): array
    {
        return [
            'title' => $this->wording->sentence($chart->title),
            'says' => $this->wording->sentence($chart->description),
            'width' => $chart->width,
            'height' => $chart->height,
            'marks' => array_map(fn (array $mark): array => [
                'tag' => $mark['tag'],
                'with' => $mark['attributes'],
                'text' => $this->wording->say($mark['text']),
            ], $chart->marks),
        ];
    }

    public function read(Node $kept): Chart
    {
        return new Chart(
            $kept->get('title')->string(),
            $kept->get('says')->string(),
            $kept->get('width')->float(),
            $kept->get('height')->float(),
            marks: array_map(static fn (Node $mark): array => [
                'tag' => $mark->get('tag')->string(),
                'attributes' => array_map(
                    static fn (Node $value): string => $value->string(),
                    $mark->get('with')->map(),
                ),
                'text' => $mark->get('text')->string(),
            ], $kept->get('marks')->items()),
        );
    }
}
