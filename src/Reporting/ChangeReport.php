<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Report\Heading;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is done with a report: a word of one's own, drafted anew, signed, another version, given to somebody. */
#[Route('/clients/{client}/reports/{report}', name: 'report_change', methods: ['POST'])]
#[IsGranted('ROLE_STAFF')]
final class ChangeReport extends AbstractController
{
    private const LETTERS = 500;
    private const MOST_GIVEN = 20;

    public function __construct(
        private readonly Reports $reports,
        private readonly WriteReport $write,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Wording $wording,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client, string $report): Response
    {
        $found = $this->reports->find($client, $report) ?? throw $this->createNotFoundException(
            'No such report.',
        );
        $do = (string) $request->request->get('do', '');
        $next = $found;
        if ('version' === $do && $found->isSigned()) {
            $next = $this->version($client, $found);
            $problem = '';
        } elseif ('given' === $do) {
            $problem = $this->give($client, $found, $request);
        } elseif ($found->isSigned()) {
            $problem = 'It is signed: nothing in it changes any more. Make another version.';
        } else {
            $problem = match ($do) {
                'view' => $this->say($found, $request),
                'unview' => $this->unsay($found, $request->request->getInt('line', -1)),
                'anew' => $this->anew($client, $found),
                'sign' => $this->sign($client, $found, $request),
                'drop' => $this->drop($found),
                default => 'Choose what is to be done; nothing was.',
            };
        }
        if ('' === $problem) {
            $this->audit->wrote('report: '.mb_substr($do, 0, 20), $client->id, $next->id);
        } else {
            $this->addFlash('problem', $problem);
        }

        return 'drop' === $do && '' === $problem
            ? $this->redirectToRoute('report_all', ['client' => $client->id], Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute(
                'report_all_one',
                ['client' => $client->id, 'report' => $next->id],
                Response::HTTP_SEE_OTHER,
            );
    }

    private function say(Report $report, Request $request): string
    {
        $heading = Heading::tryFrom((string) $request->request->get('heading', ''));
        $text = trim((string) $request->request->get('text', ''));
        if (null === $heading || '' === $text || mb_strlen($text) > self::LETTERS) {
            return \sprintf('Write at most %d letters under one of the headings.', self::LETTERS);
        }
        $report->lines = ReportFormat::write([...ReportFormat::read($report), Line::view($heading, $text)]);
        $this->reports->keep($report);

        return '';
    }

    private function unsay(Report $report, int $nth): string
    {
        $lines = ReportFormat::read($report);
        if (true !== ($lines[$nth] ?? null)?->isView()) {
            return 'Only what a therapist has added is taken out; all else rests on what is kept.';
        }
        unset($lines[$nth]);
        $report->lines = ReportFormat::write(array_values($lines));
        $this->reports->keep($report);

        return '';
    }

    /** What rests on what is kept is written anew; what was added stays. */
    private function anew(Client $client, Report $report): string
    {
        $report->lines = ReportFormat::write([
            ...$this->write->lines($client, $report->from, $report->until),
            ...self::views($report),
        ]);
        $this->reports->keep($report);

        return '';
    }

    private function sign(Client $client, Report $report, Request $request): string
    {
        if (!$this->isGranted('ROLE_THERAPIST')) {
            return 'A therapist signs; you may draft.';
        }
        if ([] !== $this->write->changedSince($client, $report)) {
            return 'What it rests on has changed since it was drafted. Write it anew, and read it.';
        }
        $read = array_map(strval(...), array_filter($request->request->all('read'), is_scalar(...)));
        $unread = array_diff(array_map(strval(...), array_keys($report->lines)), $read);
        if ([] !== $unread) {
            return \sprintf('Read every line and tick it: %d are not.', \count($unread));
        }
        $by = $this->who->staff();
        $report->sign(
            $by,
            $by->name.', '.$this->wording->word('role.'.$by->role->value),
            $this->clock->now(),
        );
        $this->reports->keep($report);

        return '';
    }

    private function version(Client $client, Report $report): Report
    {
        $next = $report->next(
            ReportFormat::write([
                ...$this->write->lines($client, $report->from, $report->until),
                ...self::views($report),
            ]),
            $this->who->staff(),
            $this->clock->now(),
        );
        $this->reports->keep($next);

        return $next;
    }

    private function give(Client $client, Report $report, Request $request): string
    {
        $to = trim((string) $request->request->get('to', ''));
        if (!$report->isSigned()) {
            return 'Only what is signed goes out.';
        }
        if ('' === $to || mb_strlen($to) > 120 || \count($report->given) >= self::MOST_GIVEN) {
            return 'Say to whom, in at most 120 letters.';
        }
        $report->given[] = [
            'to' => $to,
            'on' => $this->clock->today($client->zone)->format('Y-m-d'),
            'by' => $this->who->staff()->id,
        ];
        $this->reports->keep($report);

        return '';
    }

    private function drop(Report $draft): string
    {
        $this->reports->drop($draft);

        return '';
    }

    /** @return list<Line> */
    private static function views(Report $report): array
    {
        return array_values(array_filter(
            ReportFormat::read($report),
            static fn (Line $line): bool => $line->isView(),
        ));
    }
}
