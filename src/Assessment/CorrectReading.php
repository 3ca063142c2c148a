<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Measure\Reading;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Corrects a mistyped reading: the wrong one stays in the trail, with the reason. */
#[Route('/clients/{client}/readings/{reading}', name: 'assessment_correct', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class CorrectReading extends AbstractController
{
    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client, string $reading): Response
    {
        $wrong = $this->readings->find($client, $reading)
            ?? throw $this->createNotFoundException('No such reading.');
        $kind = $this->catalogue->get()->vocabulary->kinds->find($wrong->code)
            ?? throw $this->createNotFoundException(
                'Only measured values are corrected; look again for an observation.',
            );
        $typed = trim((string) $request->request->get('value', ''));
        $reason = trim((string) $request->request->get('reason', ''));
        $problems = [];
        if ($request->isMethod('POST')) {
            $value = '' === $typed
                ? 'Type the right value.'
                : (
                    new MeasureForm($this->catalogue->get())
                )->measure($wrong->key(), $typed, $wrong->onDay);
            if (null !== $wrong->replacedById) {
                $problems['value'] = 'This reading was corrected already.';
            } elseif (!$value instanceof Reading) {
                $problems['value'] = $value;
            }
            if ('' === $reason || mb_strlen($reason) > 200) {
                $problems['reason'] = 'Say in a few words what was wrong: it stays with the trail.';
            }
            if ([] === $problems && $value instanceof Reading) {
                $now = $this->clock->now();
                $staffId = $this->who->staff()->id;
                $right = RecordedReading::from(
                    $value,
                    $this->readings->visit($client, $wrong->onDay, $staffId, $now),
                    $staffId,
                    $now,
                    reason: $reason,
                );
                $wrong->replacedById = $right->id;
                $this->readings->add([$right]);
                $this->audit->wrote('corrected reading', $client->id, $wrong->id);
                $this->addFlash('done', 'Corrected; the old value stays in the trail.');

                return $this->redirectToRoute(
                    'desk_client',
                    ['client' => $client->id],
                    Response::HTTP_SEE_OTHER,
                );
            }
        }

        return $this->render('Assessment/correct.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'kind' => $kind,
            'wrong' => $wrong,
            'text' => MeasureView::text($kind, $wrong->toReading()),
            'trail' => array_map(
                static fn (RecordedReading $r): array => [
                    'text' => MeasureView::text($kind, $r->toReading()),
                    'at' => $r->at,
                ],
                $this->readings->trail($wrong),
            ),
            'typed' => $typed,
            'reason' => $reason,
            'problems' => $problems,
        ], new Response(status: [] === $problems ? 200 : 422));
    }
}
