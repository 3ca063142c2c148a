<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\StaffNames;
use HandGarden\Account\Who;
use HandGarden\Assessment\Chart\Chart;
use HandGarden\Client\Cautions;
use HandGarden\Client\CautionsView;
use HandGarden\Client\Client;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\ReadingGrade;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Web\Seen;

/** What a page of one report shows. */
final readonly class ReportPage
{
    /** Years of school that a letter may ask for. */
    public const GRADE = 6.0;

    public function __construct(
        private WriteReport $write,
        private ChartFormat $charts,
        private FactLinks $links,
        private Cautions $cautions,
        private StaffNames $names,
        private Who $who,
    ) {
    }

    /**
     * @param array<string, string> $typed what is still in the fields, where something was refused
     *
     * @return array<string, mixed>
     */
    public function of(Client $client, Report $report, string $problem = '', array $typed = []): array
    {
        $me = $this->who->staff()->id;
        $lines = ReportFormat::read($report);

        return $this->told($client, $report) + [
            'banner' => $this->cautions->for($client),
            'changed' => $this->write->changedLately($client, $report),
            'links' => $this->links,
            'me' => $me,
            'unread' => \count(array_filter($lines, static fn (Line $l): bool => !$l->isReadBy($me))),
            'seen' => self::mark($report),
            'problem' => $problem,
            'typed' => $typed,
        ];
    }

    /**
     * @return array{client: Client, report: Report, lines: list<Line>, headings: non-empty-list<Heading>,
     *     charts: list<Chart>, names: array<string, string>, grade: ?float}
     */
    public function told(Client $client, Report $report): array
    {
        $lines = ReportFormat::read($report);

        return [
            'client' => $client,
            'report' => $report,
            'lines' => $lines,
            'headings' => $report->kind->headings(),
            'charts' => array_map(
                fn (array $kept): Chart => $this->charts->read(Node::root($kept)),
                $report->charts,
            ),
            'names' => $this->namesOf($report),
            'grade' => ReportKind::Letter === $report->kind
                ? ReadingGrade::of(implode("\n", array_map(static fn (Line $l): string => $l->text, $lines)))
                : null,
        ];
    }

    public function banner(Client $client): CautionsView
    {
        return $this->cautions->for($client);
    }

    /** @return array<string, string> of staff, by id */
    public function namesOf(Report ...$reports): array
    {
        $names = [];
        foreach ($reports as $report) {
            foreach ([$report->draftedById, ...array_column($report->given, 'by')] as $id) {
                $names[$id] ??= $this->names->of($report->clinicId, $id);
            }
        }

        return $names;
    }

    /** Of the words of a report, so that nobody signs over what somebody else has just put in. */
    public static function mark(Report $report): string
    {
        return Seen::mark(...array_map(
            static fn (Line $l): string => $l->heading->value.' '.$l->text,
            ReportFormat::read($report),
        ));
    }
}
