<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Web\Clock;
use HandGarden\Web\Typed;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Takes measures, observations and try-outs of both hands. What is typed is a draft on the server until it is kept. */
#[IsGranted('ROLE_THERAPIST')]
final class TakeMeasures extends AbstractController
{
    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly Drafts $drafts,
        private readonly MeasurePage $page,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/measure', name: 'assessment_measure', methods: ['GET', 'POST'])]
    public function measure(Request $request, Client $client): Response
    {
        $staffId = $this->who->staff()->id;
        $draft = $this->drafts->for($client, $staffId);
        $preset = Preset::tryFrom((string) $request->query->get('set', ''))
            ?? $this->page->usual($client);
        if ($request->isMethod('GET')) {
            return $this->page->show(
                $client,
                $preset,
                new Entered($draft->typed ?? [], $draft->note ?? '', $draft),
            );
        }
        $form = $request->request->all();
        $note = self::note($request);
        $typed = $this->drafts->change(
            $client,
            $staffId,
            static fn (array $before): array => Drafts::merged($form, $before),
            $note,
            now: $this->clock->now(),
        );
        $circumstances = Circumstances::typed($form);
        $today = $this->clock->today($client->zone);
        $read = (
            new MeasureForm($this->catalogue->get(), $circumstances->taken($staffId))
        )->read($typed, $today, $this->readings->for($client));
        $problems = $read->problems + (
            '' === $circumstances->problem ? [] : ['hours' => $circumstances->problem]
        );
        if ([] !== $problems) {
            return $this->page->show(
                $client,
                $preset,
                new Entered($typed, $note, $draft, $problems, form: Typed::texts($request)),
            );
        }
        if ([] === $read->readings && '' === $note) {
            $this->addFlash('done', 'Nothing was typed, so nothing was kept.');

            return $this->redirectToRoute(
                'assessment_measure',
                ['client' => $client->id, 'set' => $preset->value],
                Response::HTTP_SEE_OTHER,
            );
        }
        $now = $this->clock->now()->setTime(...self::wholeSecond($this->clock->now()));
        $visit = $this->readings->visit($client, $today, $staffId, $now);
        $circumstances->writeTo($visit);
        if ('' !== $note) {
            $visit->note = trim($visit->note."\n".$note);
        }
        $this->readings
            ->add(
                array_map(
                    static function (Reading $reading) use (
                        $typed,
                        $visit,
                        $staffId,
                        $now
                    ): RecordedReading {
                        $source = Drafts::source(
                            $typed,
                            ReadingKey::for(
                                $reading->code,
                                $reading->side,
                                $reading->mode,
                                $reading->argument,
                            ),
                        );

                        return RecordedReading::from(
                            null === $source || null === $reading->taken
                                    ? $reading
                                    : $reading->with($reading->taken->from($source)),
                            $visit,
                            $staffId,
                            $now,
                        );
                    },
                    $read->readings,
                ),
            );
        $this->drafts->change(
            $client,
            $staffId,
            static fn (array $left): array => Drafts::without($left, $typed),
            '',
            now: $this->clock->now(),
        );
        $this->audit->wrote('measured', $client->id, $visit->id);
        $this->addFlash('done', \sprintf('%d readings kept.', \count($read->readings)));
        if ([] !== $read->readings) {
            $this->addFlash(
                'undo',
                $this->generateUrl(
                    'assessment_take_back',
                    [
                        'client' => $client->id,
                        'visit' => $visit->id,
                        'second' => $now->getTimestamp(),
                    ],
                ),
            );
        }

        return $this->redirectToRoute(
            'planning_placement',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** As you type: figures of both hands, and what is wrong with which field. What is typed goes into the draft. */
    #[Route('/clients/{client}/measure/figures', name: 'assessment_figures', methods: ['POST'])]
    public function figures(Request $request, Client $client): Response
    {
        $staffId = $this->who->staff()->id;
        $form = $request->request->all();
        $known = $this->readings->for($client);
        $typed = $this->drafts->change(
            $client,
            $staffId,
            static fn (array $before): array => Drafts::merged($form, $before),
            self::note($request),
            now: $this->clock->now(),
            shownMs: $request->request->getInt('seen'),
        );
        $read = (new MeasureForm($this->catalogue->get()))->read(
            $typed,
            $this->clock->today($client->zone),
            $known,
        );
        $all = new Readings([...$known->current(), ...$read->readings]);
        $side = Side::tryFrom((string) $request->request->get('look', ''));

        return new JsonResponse([
            'problems' => (object) $read->problems,
            'trials' => (object) $this->page->trials($read->readings),
            'hands' => $this->page->handFigures($client, $all),
            'hand' => null === $side ? null : $this->page->liveHand($all, $side),
            'typed' => array_sum(
                array_map(\count(...), array_diff_key($typed, [Drafts::SOURCES => true])),
            ),
        ]);
    }

    #[Route('/clients/{client}/measure/throw-away', name: 'assessment_drop_draft', methods: ['POST'])]
    public function dropDraft(Client $client): Response
    {
        $this->drafts->drop($client, $this->who->staff()->id, $this->clock->now());
        $this->addFlash('done', 'What was typed and not kept is gone.');

        return $this->redirectToRoute(
            'assessment_measure',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** Undo: what the same person has just kept counts no more, and is typed again in the draft. */
    #[Route(
        '/clients/{client}/measure/take-back/{visit}/{second}',
        name: 'assessment_take_back',
        requirements: ['second' => '\d{1,12}'],
        methods: ['POST'],
    )]
    public function takeBack(Client $client, string $visit, int $second): Response
    {
        $found = $this->readings->findVisit($client, $visit)
            ?? throw $this->createNotFoundException('No such visit.');
        $staffId = $this->who->staff()->id;
        $now = $this->clock->now();
        $kept = null === $found->signedAt
            ? $this->readings->keptAt(
                $client,
                $staffId,
                $found->id,
                new \DateTimeImmutable('@'.$second),
            )
            : [];
        $typed = [];
        foreach ($kept as $reading) {
            $reading->withdrawnAt = $now;
            $typed[$reading->part()][$reading->key()] = $reading->typedText();
        }
        $this->readings->save();
        $this->drafts->change(
            $client,
            $staffId,
            static fn (array $before): array => Drafts::merged($typed, $before),
            null,
            now: $now,
        );
        $this->audit->wrote('took back', $client->id, $found->id);
        $this->addFlash(
            'done',
            [] === $kept
                ? 'Nothing could be taken back: the visit is signed, or somebody else kept it.'
                : \sprintf('%d readings taken back; they are typed here again.', \count($kept)),
        );

        return $this->redirectToRoute(
            'assessment_measure',
            ['client' => $client->id, 'set' => Preset::Everything->value],
            Response::HTTP_SEE_OTHER,
        );
    }

    private static function note(Request $request): string
    {
        return mb_substr(trim((string) $request->request->get('note', '')), 0, 4000);
    }

    /** @return array{int, int, int} the record keeps whole seconds, and taking back asks for the very moment */
    private static function wholeSecond(\DateTimeImmutable $now): array
    {
        return [(int) $now->format('G'), (int) $now->format('i'), (int) $now->format('s')];
    }
}
