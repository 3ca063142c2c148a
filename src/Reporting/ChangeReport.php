<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Report\Heading;
use HandGarden\Web\Clock;
use HandGarden\Web\Seen;
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
    private const TYPED = ['heading', 'text', 'to'];

    public function __construct(
        private readonly Reports $reports,
        private readonly WriteReport $write,
        private readonly SignReport $signing,
        private readonly FitWords $fit,
        private readonly ReportPage $page,
        private readonly Who $who,
        private readonly Audit $audit,
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
        } elseif (\in_array($do, ['given', 'home', 'unhome'], true)) {
            $problem = 'unhome' === $do ? $this->takeHome($found) : $this->give($client, $found, $request);
        } elseif ($found->isSigned()) {
            $problem = 'It is signed: nothing in it changes any more. Make another version.';
        } elseif (Seen::isStale($request, ReportPage::mark(ReportFormat::read($found)))) {
            $problem = 'Somebody has changed this draft since you opened it. Here it is as it stands now.';
        } else {
            $this->tick($found, $request);
            $problem = $this->change($client, $found, $request);
        }
        if ('' !== $problem) {
            return $this->render(
                'Reporting/report.html.twig',
                $this->page->of($client, $found, $problem, array_map(
                    static fn (string $field): string => (string) $request->request->get($field, ''),
                    array_combine(self::TYPED, self::TYPED),
                )),
                new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY),
            );
        }
        $this->audit->wrote('report: '.mb_substr($do, 0, 20), $client->id, $next->id);

        return 'drop' === $do
            ? $this->redirectToRoute('report_all', ['client' => $client->id], Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute(
                'report_all_one',
                ['client' => $client->id, 'report' => $next->id],
                Response::HTTP_SEE_OTHER,
            );
    }

    /** @return string what is wrong; empty: nothing */
    private function change(Client $client, Report $draft, Request $request): string
    {
        $unview = $request->request->get('unview');
        $do = (string) $request->request->get('do', '');
        $isTyped = '' !== trim((string) $request->request->get('text', ''));
        if ($isTyped && (null !== $unview || !\in_array($do, ['view', 'keep'], true))) {
            return 'Your own words are not in it yet: add them, or clear the field.';
        }

        if (null !== $unview) {
            return $this->unsay($draft, (int) $unview);
        }

        return match ($do) {
            'view' => $this->say($client, $draft, $request),
            'keep' => $isTyped ? $this->say($client, $draft, $request) : '',
            'anew' => $this->anew($client, $draft),
            'sign' => $this->isGranted('ROLE_THERAPIST')
                ? $this->signing->sign(
                    $client,
                    $draft,
                    $this->who->staff(),
                    $request->request->has('talked'),
                )
                : 'A therapist signs; you may draft.',
            'drop' => $this->drop($draft),
            default => 'Choose what is to be done; nothing was.',
        };
    }

    /** Which lines somebody has read is kept with whatever else they do. */
    private function tick(Report $draft, Request $request): void
    {
        if (!$request->request->has('ticks')) {
            return;
        }
        $read = array_map(strval(...), array_filter($request->request->all('read'), is_scalar(...)));
        $me = $this->who->staff()->id;
        $draft->lines = ReportFormat::write(array_map(
            static fn (Line $line, int $nth): Line => $line->read(
                $me,
                \in_array((string) $nth, $read, true),
            ),
            $lines = ReportFormat::read($draft),
            array_keys($lines),
        ));
        $this->reports->keep($draft);
    }

    private function say(Client $client, Report $draft, Request $request): string
    {
        $heading = Heading::tryFrom((string) $request->request->get('heading', ''));
        $text = trim((string) $request->request->get('text', ''));
        if (
            null === $heading || !\in_array($heading, $draft->kind->headings(), true)
            || '' === $text || mb_strlen($text) > self::LETTERS
        ) {
            return \sprintf('Write at most %d letters under one of the headings.', self::LETTERS);
        }
        $why = $this->fit->refuses($client, $draft, $text);
        if ('' === $why) {
            $draft->lines = ReportFormat::write([
                ...ReportFormat::read($draft),
                Line::view($heading, $text, $this->who->staff()->id),
            ]);
            $this->reports->keep($draft);
        }

        return $why;
    }

    private function unsay(Report $draft, int $nth): string
    {
        $lines = ReportFormat::read($draft);
        if (true !== ($lines[$nth] ?? null)?->isView()) {
            return 'Only what a therapist has added is taken out; all else rests on what is kept.';
        }
        unset($lines[$nth]);
        $draft->lines = ReportFormat::write(array_values($lines));
        $this->reports->keep($draft);

        return '';
    }

    /** What rests on what is kept is written anew; what was added stays, and so does what was read and is the same. */
    private function anew(Client $client, Report $draft): string
    {
        $today = $this->clock->today($client->zone);
        $span = new ReportSpan($draft->kind, $draft->from, $draft->until, $today);
        $draft->renew($this->write->write($client, $span, ReportFormat::read($draft)), $today);
        $this->reports->keep($draft);

        return '';
    }

    private function version(Client $client, Report $report): Report
    {
        $today = $this->clock->today($client->zone);
        $span = new ReportSpan($report->kind, $report->from, $report->until, $today);
        $views = array_map(
            static fn (Line $l): Line => $l->readAs([]),
            array_values(array_filter(
                ReportFormat::read($report),
                static fn (Line $l): bool => $l->isView(),
            )),
        );
        $next = $report->next(
            $this->write->write($client, $span, $views),
            $today,
            $this->who->staff(),
            $this->clock->now(),
        );
        $this->reports->keep($next);

        return $next;
    }

    private function give(Client $client, Report $report, Request $request): string
    {
        $isHome = 'home' === $request->request->get('do');
        $to = $isHome ? $client->givenName.', at home' : trim((string) $request->request->get('to', ''));
        if (!$report->isSigned()) {
            return 'Only what is signed goes out.';
        }
        if ($isHome && !$report->kind->isForTheClient()) {
            return 'Only a letter is shown at home.';
        }
        if ('' === $to || mb_strlen($to) > 120 || \count($report->given) >= self::MOST_GIVEN) {
            return 'Say to whom, in at most 120 letters.';
        }
        $report->given[] = [
            'to' => $to,
            'on' => $this->clock->today($client->zone)->format('Y-m-d'),
            'by' => $this->who->staff()->id,
        ];
        $report->isAtHome = $report->isAtHome || $isHome;
        $this->reports->keep($report);

        return '';
    }

    /** It was shown at home and is no more: to whom it was given stays. */
    private function takeHome(Report $report): string
    {
        $report->isAtHome = false;
        $this->reports->keep($report);

        return '';
    }

    private function drop(Report $draft): string
    {
        $this->reports->drop($draft);

        return '';
    }
}
