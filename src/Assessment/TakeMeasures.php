<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Takes measures, observations and try-outs of both hands. */
#[IsGranted('ROLE_THERAPIST')]
final class TakeMeasures extends AbstractController
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

    #[Route('/clients/{client}/measure', name: 'assessment_measure', methods: ['GET', 'POST'])]
    public function measure(Request $request, Client $client): Response
    {
        if ($request->isMethod('GET')) {
            return $this->page($client, [], [], '');
        }
        $form = $request->request->all();
        $measured = self::part($form, 'm');
        $note = trim((string) $request->request->get('note', ''));
        $typed = $this->read($form, $client);
        if ([] !== $typed->problems) {
            return $this->page($client, $form, $typed->problems, $note);
        }
        $now = $this->clock->now();
        $staffId = $this->who->staff()->id;
        $visit = $this->readings->visit($client, $this->clock->today($client->zone), $staffId, $now);
        if ('' !== $note) {
            $visit->note = trim($visit->note."\n".$note);
        }
        $this->readings->add(array_map(static fn ($r): RecordedReading => RecordedReading::of($r, $visit, $staffId, $now), $typed->readings));
        $this->audit->wrote('measured', $client->id, $visit->id);
        $this->addFlash('done', \sprintf('%d readings kept.', \count($typed->readings)));

        return $this->redirectToRoute('planning_placement', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }

    /** As you type: figures of both hands, and what is wrong with which field. Nothing is kept. */
    #[Route('/clients/{client}/measure/figures', name: 'assessment_figures', methods: ['POST'])]
    public function figures(Request $request, Client $client): Response
    {
        $typed = $this->read($request->request->all(), $client);
        $all = new Readings([...array_map(static fn (KeptReading $k): Reading => $k->reading, $this->readings->newest($client)), ...$typed->readings]);

        return new JsonResponse(['problems' => (object) $typed->problems, 'hands' => $this->handFigures($all)]);
    }

    /** @return array<string, array{rows: list<array<string, string>>, active: string, passive: string}> */
    private function handFigures(Readings $readings): array
    {
        $hands = [];
        foreach ([Side::Right, Side::Left] as $side) {
            $hands[$side->value] = ['rows' => Figures::of($readings, $side), 'active' => Figures::opening($readings, $side, Mode::Active), 'passive' => Figures::opening($readings, $side, Mode::Passive)];
        }

        return $hands;
    }

    /** @param array<mixed> $form */
    private function read(array $form, Client $client): TypedReadings
    {
        return (new MeasureForm($this->catalogue->get()))->read(self::part($form, 'm'), self::part($form, 'o'), self::part($form, 'none'), self::part($form, 't'), $this->clock->today($client->zone));
    }

    /**
     * @param array<mixed>          $form
     * @param array<string, string> $problems
     */
    private function page(Client $client, array $form, array $problems, string $note): Response
    {
        $known = $this->readings->of($client);
        $view = new MeasureView($this->catalogue->get(), $known, self::part($form, 'm'));

        return $this->render('Assessment/measure.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->of($client),
            'groups' => $view->groups(),
            'lists' => $view->lists(),
            'ticked' => self::part($form, 'o'),
            'looked' => self::part($form, 'none'),
            'tried' => self::part($form, 't'),
            'ladders' => array_filter($this->catalogue->get()->ladders(), static fn ($l): bool => $l->kind->isClimbed()),
            'hands' => $this->handFigures($known),
            'problems' => $problems,
            'note' => $note,
            'sides' => $client->affected(),
        ], new Response(status: [] === $problems ? 200 : 422));
    }

    /**
     * @param array<mixed> $form
     *
     * @return array<mixed>
     */
    private static function part(array $form, string $key): array
    {
        $part = $form[$key] ?? [];

        return \is_array($part) ? $part : [];
    }
}
