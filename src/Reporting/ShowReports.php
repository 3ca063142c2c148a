<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Data\Dates;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Report\ReportKind;
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
    /** On one page. */
    private const FACTS = 60;

    public function __construct(
        private readonly Reports $reports,
        private readonly WriteReport $write,
        private readonly PictureSheets $sheets,
        private readonly PaperCharts $paperCharts,
        private readonly ReportPage $page,
        private readonly FactRows $facts,
        private readonly PlanRepository $plans,
        private readonly Paper $paper,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    public function all(Request $request, Client $client): Response
    {
        return $this->list($client, '', array_filter([
            'kind' => ReportKind::tryFrom($request->query->getString('kind'))->value ?? '',
            'from' => Dates::day($request->query->getString('from'))?->format('Y-m-d') ?? '',
        ], static fn (string $asked): bool => '' !== $asked));
    }

    #[Route('', name: '_draft', methods: ['POST'])]
    public function draft(Request $request, Client $client): Response
    {
        $typed = [];
        foreach (['kind', 'from', 'until'] as $field) {
            $typed[$field] = (string) $request->request->get($field, '');
        }
        $today = $this->clock->today($client->zone);
        try {
            $form = Node::root($typed);
            $span = new ReportSpan(
                $form->get('kind')->enum(ReportKind::class),
                $form->get('from')->date(),
                $form->get('until')->date(),
                $today,
            );
        } catch (InvalidData) {
            return $this->list($client, 'Choose a report, and give two days.', $typed);
        }
        if ($span->from >= $span->until || $span->until > $today || $span->days() > self::MOST_DAYS) {
            return $this->list(
                $client,
                'The time begins before it ends, ends today at the latest, and is two years long at most.',
                $typed,
            );
        }
        $report = Report::draft(
            $client,
            $span,
            $this->write->write($client, $span),
            $this->who->staff(),
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
        $found = $this->find($client, $report);

        return $this->render('Reporting/report.html.twig', $this->page->of($client, $found));
    }

    /** Everything that one line rests on, as it is kept now. */
    #[Route('/{report}/lines/{nth}', name: '_facts', requirements: ['nth' => '\d{1,4}'], methods: ['GET'])]
    public function facts(Request $request, Client $client, string $report, int $nth): Response
    {
        $found = $this->find($client, $report);
        $line = ReportFormat::read($found)[$nth] ?? throw $this->createNotFoundException('No such line.');
        $pages = max(1, (int) ceil(\count($line->facts) / self::FACTS));
        $page = min($pages, max(1, $request->query->getInt('page', 1)));

        return $this->render('Reporting/facts.html.twig', [
            'client' => $client,
            'banner' => $this->page->banner($client),
            'report' => $found,
            'nth' => $nth,
            'line' => $line,
            'rows' => $this->facts->of(
                $client,
                \array_slice($line->facts, ($page - 1) * self::FACTS, self::FACTS),
            ),
            'page' => $page,
            'pages' => $pages,
        ]);
    }

    #[Route('/{report}/report.md', name: '_markdown', methods: ['GET'])]
    public function markdown(Client $client, string $report): Response
    {
        $found = $this->find($client, $report);

        return new Response(
            $this->renderView(
                'Reporting/report.md.twig',
                $this->page->told($client, $found) + ['charts' => $this->page->charts($found)],
            ),
            200,
            [
                'Content-Type' => 'text/markdown; charset=UTF-8',
                'Content-Disposition' => 'attachment; filename="report.md"',
            ],
        );
    }

    #[Route('/{report}/report.pdf', name: '_pdf', methods: ['GET'])]
    public function pdf(Client $client, string $report): Response
    {
        $found = $this->find($client, $report);
        $charts = $this->page->charts($found);
        $html = $this->renderView('Reporting/paper.html.twig', $this->page->told($client, $found) + [
            'charts' => $charts,
            'pictures' => array_map($this->paperCharts->inline(...), $charts),
            'sheets' => match (true) {
                ReportKind::Discharge !== $found->kind => '',
                $found->isSigned() => $found->sheets(),
                default => $this->sheets->of($client, $found->asOf),
            },
        ]);

        return new Response($this->paper->pdf($html), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="report.pdf"',
        ]);
    }

    #[Route('/{report}/beside', name: '_beside', methods: ['GET'])]
    public function beside(Client $client, string $report): Response
    {
        $new = $this->find($client, $report);
        $old = null === $new->after ? null : $this->reports->find($client, $new->after);

        return $this->render('Reporting/beside.html.twig', [
            'client' => $client,
            'banner' => $this->page->banner($client),
            'old' => $old ?? throw $this->createNotFoundException('It takes the place of no other.'),
            'new' => $new,
            'oldLines' => ReportFormat::read($old),
            'newLines' => ReportFormat::read($new),
        ]);
    }

    /** @param array<string, string> $typed */
    private function list(Client $client, string $problem, array $typed): Response
    {
        $today = $this->clock->today($client->zone);
        $begins = $this->plans->block($client)?->beginsOn;
        $from = min($begins ?? $today, $today->modify('-'.self::USUAL_DAYS.' days'));
        $reports = $this->reports->of($client);

        return $this->render('Reporting/reports.html.twig', [
            'client' => $client,
            'banner' => $this->page->banner($client),
            'reports' => $reports,
            'names' => $this->page->namesOf(
                $client,
                ...array_map(static fn (ReportRow $r): string => $r->draftedById, $reports),
            ),
            'kinds' => ReportKind::cases(),
            'typed' => $typed + [
                'kind' => ReportKind::Review->value,
                'from' => $from->format('Y-m-d'),
                'until' => $today->format('Y-m-d'),
            ],
            'problem' => $problem,
        ], new Response(status: '' === $problem ? 200 : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    private function find(Client $client, string $report): Report
    {
        $found = $this->reports->find($client, $report) ?? throw $this->createNotFoundException(
            'No such report.',
        );
        $this->audit->read('report', $client->id);

        return $found;
    }
}
