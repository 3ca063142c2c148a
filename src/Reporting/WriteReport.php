<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Core\Report\ColleagueReport;
use HandGarden\Web\Wording;

/** Writes the lines of a report that rest on what is kept. */
final readonly class WriteReport
{
    public function __construct(
        private Materials $materials,
        private Wording $wording,
    ) {
    }

    /** @return list<Line> */
    public function lines(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $lines = [];
        foreach ((new ColleagueReport())->of($this->materials->of($client, $from, $until)) as $paragraph) {
            foreach ($paragraph->sentences as $sentence) {
                $lines[] = new Line(
                    $paragraph->heading,
                    $this->wording->sentence($sentence->words),
                    $sentence->facts,
                    $sentence->isOwed,
                );
            }
        }

        return $lines;
    }

    /**
     * What would be written otherwise now.
     *
     * @return list<string> lines of the report that are not written so any more, and new ones
     */
    public function changedSince(Client $client, Report $report): array
    {
        $kept = self::texts(ReportFormat::read($report));
        $now = self::texts($this->lines($client, $report->from, $report->until));

        return [...array_values(array_diff($kept, $now)), ...array_values(array_diff($now, $kept))];
    }

    /**
     * @param list<Line> $lines
     *
     * @return list<string> of those that rest on something
     */
    private static function texts(array $lines): array
    {
        return array_map(
            static fn (Line $line): string => $line->text,
            array_values(array_filter($lines, static fn (Line $line): bool => !$line->isView())),
        );
    }
}
