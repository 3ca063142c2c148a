<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\StaffNames;
use HandGarden\Account\Who;
use HandGarden\Assessment\Chart\Chart;
use HandGarden\Client\Cautions;
use HandGarden\Client\CautionsView;
use HandGarden\Client\Client;
use HandGarden\Client\KeptOfClient;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\ReadingGrade;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Web\Seen;
use Twig\Environment;
use Twig\Markup;

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
        private KeptOfClient $kept,
        private Environment $twig,
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
        $told = $this->told($client, $report);

        return $told + [
            'banner' => $this->cautions->for($client),
            'changed' => $this->write->changedLately($client, $report),
            'links' => $this->links,
            'drawn' => $this->drawn($client, $report),
            'me' => $me,
            'unread' => \count(
                array_filter($told['lines'], static fn (Line $l): bool => !$l->isReadBy($me)),
            ),
            'seen' => self::mark($told['lines']),
            'problem' => $problem,
            'typed' => $typed,
        ];
    }

    /**
     * @return array{client: Client, report: Report, lines: list<Line>, headings: non-empty-list<Heading>,
     *     names: array<string, string>, grade: ?float}
     */
    public function told(Client $client, Report $report): array
    {
        $lines = ReportFormat::read($report);

        return [
            'client' => $client,
            'report' => $report,
            'lines' => $lines,
            'headings' => $report->kind->headings(),
            'names' => $this->namesOf($client, ...array_column($report->given, 'by')),
            'grade' => ReportKind::Letter === $report->kind
                ? ReadingGrade::of(implode("\n", array_map(static fn (Line $l): string => $l->text, $lines)))
                : null,
        ];
    }

    /** @return list<Chart> */
    public function charts(Report $report): array
    {
        return array_map(
            fn (array $kept): Chart => $this->charts->read(Node::root($kept)),
            $report->charts,
        );
    }

    /** A point for each day of two years: drawn once for the same charts. */
    private function drawn(Client $client, Report $report): Markup
    {
        return $this->kept->get(
            'report.drawn.'.hash('xxh128', serialize($report->charts)),
            $client,
            fn (): Markup => new Markup(
                $this->twig->render('Reporting/_charts.html.twig', ['charts' => $this->charts($report)]),
                'UTF-8',
            ),
        );
    }

    public function banner(Client $client): CautionsView
    {
        return $this->cautions->for($client);
    }

    /** @return array<string, string> of staff, by id */
    public function namesOf(Client $client, string ...$ids): array
    {
        $names = [];
        foreach ($ids as $id) {
            $names[$id] ??= $this->names->of($client->clinicId, $id);
        }

        return $names;
    }

    /**
     * Of the words of a report, so that nobody signs over what somebody else has just put in.
     *
     * @param list<Line> $lines
     */
    public static function mark(array $lines): string
    {
        return Seen::mark(...array_map(
            static fn (Line $l): string => $l->heading->value.' '.$l->text,
            $lines,
        ));
    }
}
