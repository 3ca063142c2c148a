<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Client\Client;
use HandGarden\Client\KeptOfClient;
use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Wording;

/** Writes what of a report rests on what is kept. */
final readonly class WriteReport
{
    public function __construct(
        private AskSources $sources,
        private Materials $materials,
        private ReportCharts $charts,
        private ChartFormat $chartFormat,
        private KeptOfClient $kept,
        private Wording $wording,
    ) {
    }

    /** @param list<Line> $before whose views stay, and whose words count as read where they are the same */
    public function write(Client $client, ReportSpan $span, array $before = []): Written
    {
        $read = [];
        foreach ($before as $line) {
            $read[$line->heading->value."\n".$line->text] = $line->readBy;
        }

        $sources = $this->sources->of($client, $span);

        return new Written(
            ReportFormat::write([
                ...array_map(
                    static fn (Line $l): Line => $l->readAs($read[$l->heading->value."\n".$l->text] ?? []),
                    $this->lines($client, $span, $sources),
                ),
                ...array_filter($before, static fn (Line $l): bool => $l->isView()),
            ]),
            array_map($this->chartFormat->write(...), $this->charts->of($client, $span, $sources)),
        );
    }

    /**
     * What would be written otherwise now. How things stood on the day of writing is not held against a signed report.
     *
     * @return list<string> lines of the report that are not written so any more, and new ones
     */
    public function changedSince(Client $client, Report $report): array
    {
        $span = $report->span();
        $sources = $this->sources->of($client, $span);
        $isThere = static fn (Line $l): bool => !$l->isView() && !($report->isSigned() && $l->isOfThen);
        $kept = [
            ...self::texts(array_filter(ReportFormat::read($report), $isThere)),
            ...array_map(
                static fn (array $c): string => \is_string($c['says']) ? $c['says'] : '',
                $report->charts,
            ),
        ];
        $now = [
            ...self::texts(array_filter($this->lines($client, $span, $sources), $isThere)),
            ...array_map(
                fn (Chart $c): string => $this->wording->sentence($c->description),
                $this->charts->of($client, $span, $sources),
            ),
        ];

        return [...array_values(array_diff($kept, $now)), ...array_values(array_diff($now, $kept))];
    }

    /**
     * The same for a page that is only looked at: worked out when something of the client has changed.
     *
     * @return list<string>
     */
    public function changedLately(Client $client, Report $report): array
    {
        return $this->kept->get(
            'report.'.$report->id.'.'.hash('xxh128', serialize([$report->lines, $report->asOf])),
            $client,
            fn (): array => $this->changedSince($client, $report),
        );
    }

    /** @return list<Line> */
    private function lines(Client $client, ReportSpan $span, Sources $sources): array
    {
        $lines = [];
        foreach ($span->kind->author()->of($this->materials->of($client, $span, $sources)) as $paragraph) {
            foreach ($paragraph->sentences as $sentence) {
                $lines[] = new Line(
                    $paragraph->heading,
                    $this->wording->sentence($sentence->words),
                    $sentence->facts,
                    $sentence->isOwed,
                    cells: array_map(
                        fn (Phrase|Joined|string $cell): string => $this->wording->sentence($cell),
                        $sentence->cells,
                    ),
                    isOfThen: $sentence->isOfThen,
                );
            }
        }

        return $lines;
    }

    /**
     * @param array<Line> $lines
     *
     * @return list<string>
     */
    private static function texts(array $lines): array
    {
        return array_values(array_map(static fn (Line $line): string => $line->text, $lines));
    }
}
