<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\Audit;
use HandGarden\Account\StaffNames;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Report\Heading;
use HandGarden\Planning\Paper;
use HandGarden\Planning\PlanRepository;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Reports of a client: drafted from what is kept, read, signed, and as they were signed. */
#[Route('/clients/{client}/reports', name: 'report_all')]
#[IsGranted('ROLE_STAFF')]
final class ShowReports extends AbstractController
{
    private const USUAL_DAYS = 42;
    private const MOST_DAYS = 740;

    public function __construct(
        private readonly Reports $reports,
        private readonly WriteReport $write,
        private readonly FactLinks $links,
        private readonly PlanRepository $plans,
        private readonly Cautions $cautions,
        private readonly StaffNames $names,
        private readonly Paper $paper,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    public function all(Client $client): Response
    {
        return $this->page($client, '');
    }

    #[Route('', name: '_draft', methods: ['POST'])]
    public function draft(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        try {
            $form = Node::root(
                ['from' => $request->request->get('from'), 'until' => $request->request->get('until')],
            );
            [$from, $until] = [$form->get('from')->date(), $form->get('until')->date()];
        } catch (InvalidData) {
            return $this->page($client, 'Give two days.');
        }
        if (
            $from >= $until
            || $until > $today
            || (int) $from->diff($until)->format(
                '%a',
            ) > self::MOST_DAYS
        ) {
            return $this->page(
                $client,
                'The time begins before it ends, ends today at the latest, and is two years long at most.',
            );
        }
        $report = Report::draft(
            $client,
            $from,
            $until,
            ReportFormat::write($this->write->lines($client, $from, $until)),
            by: $this->who->staff(),
            at: $this->clock->now(),
        );
        $this->reports->keep($report);
        $this->audit->wrote('drafted report', $client->id, $report->id);

        return $this->redirectToRoute(
            'report_all_one',
            ['client' => $client->id, 'report' => $report->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/{report}', name: '_one', methods: ['GET'])]
    public function one(Client $client, string $report): Response
    {
        return $this->shown($client, $this->find($client, $report));
    }

    #[Route('/{report}/report.md', name: '_markdown', methods: ['GET'])]
    public function markdown(Client $client, string $report): Response
    {
        return new Response(
            $this->renderView(
                'Reporting/report.md.twig',
                $this->told($client, $this->find($client, $report)),
            ),
            headers: [
                'Content-Type' => 'text/markdown; charset=UTF-8',
                'Content-Disposition' => 'attachment; filename="report.md"',
            ],
        );
    }

    #[Route('/{report}/report.pdf', name: '_pdf', methods: ['GET'])]
    public function pdf(Client $client, string $report): Response
    {
        return new Response(
            $this->paper->pdf(
                $this->renderView(
                    'Reporting/paper.html.twig',
                    $this->told($client, $this->find($client, $report)),
                ),
            ),
            headers: [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'inline; filename="report.pdf"',
            ],
        );
    }

    /** Two versions, line by line. */
    #[Route('/{report}/beside', name: '_beside', methods: ['GET'])]
    public function beside(Client $client, string $report): Response
    {
        $new = $this->find($client, $report);
        $old = null === $new->after ? null : $this->reports->find($client, $new->after);

        return $this->render('Reporting/beside.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'old' => $old ?? throw $this->createNotFoundException('It takes the place of no other.'),
            'new' => $new,
            'oldLines' => ReportFormat::read($old),
            'newLines' => ReportFormat::read($new),
        ]);
    }

    private function page(Client $client, string $problem): Response
    {
        $today = $this->clock->today($client->zone);
        $begins = $this->plans->block($client)?->beginsOn;

        return $this->render('Reporting/reports.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'reports' => $this->reports->of($client),
            'names' => $this->namesOf(...$this->reports->of($client)),
            'from' => min($begins ?? $today, $today->modify('-'.self::USUAL_DAYS.' days')),
            'until' => $today,
            'problem' => $problem,
        ], new Response(status: '' === $problem ? 200 : 422));
    }

    private function shown(Client $client, Report $report): Response
    {
        return $this->render('Reporting/report.html.twig', $this->told($client, $report) + [
            'banner' => $this->cautions->for($client),
            'changed' => $this->write->changedSince($client, $report),
            'links' => $this->links,
        ]);
    }

    /**
     * @return array{client: Client, report: Report, lines: list<Line>, headings: list<Heading>,
     *     names: array<string, string>}
     */
    private function told(Client $client, Report $report): array
    {
        $this->audit->read('report', $client->id);

        return [
            'client' => $client,
            'report' => $report,
            'lines' => ReportFormat::read($report),
            'headings' => Heading::cases(),
            'names' => $this->namesOf($report),
        ];
    }

    /** @return array<string, string> of staff, by id */
    private function namesOf(Report ...$reports): array
    {
        $names = [];
        foreach ($reports as $report) {
            foreach ([$report->draftedById, ...array_column($report->given, 'by')] as $id) {
                $names[$id] ??= $this->names->of($report->clinicId, $id);
            }
        }

        return $names;
    }

    private function find(Client $client, string $report): Report
    {
        return $this->reports->find($client, $report) ?? throw $this->createNotFoundException(
            'No such report.',
        );
    }
}
