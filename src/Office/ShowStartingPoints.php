<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Planning\StartingPoints;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The starting points of the clinic, with what each holds. */
#[IsGranted('ROLE_LEAD')]
final class ShowStartingPoints extends AbstractController
{
    public function __construct(
        private readonly StartingPoints $points,
        private readonly ClinicRepository $clinics,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
    ) {
    }

    #[Route('/clinic/starting-points', name: 'office_points', methods: ['GET'])]
    public function show(): Response
    {
        return $this->render('Office/points.html.twig', [
            'clinic' => $this->clinics->own(),
            'points' => $this->points->all(),
            'names' => $this->clinics->namesOfStaff(),
            'catalogue' => $this->catalogue->get(),
        ]);
    }

    #[Route('/clinic/starting-points/{point}/end', name: 'office_point_end', methods: ['POST'])]
    public function end(string $point): Response
    {
        $found = $this->points->find($point) ?? throw $this->createNotFoundException(
            'No such starting point.',
        );
        $this->points->end($found);
        $this->audit->wrote('took out a starting point', null, $found->id);
        $this->addFlash('done', 'Taken out. Routines that began from it stay as they are.');

        return $this->redirectToRoute('office_points', [], Response::HTTP_SEE_OTHER);
    }
}
