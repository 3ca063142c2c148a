<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\StaffRepository;
use HandGarden\Client\Deputies;
use HandGarden\Client\HandOver;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who works here, as what, and who stands in for whom. */
#[Route('/clinic/people', name: 'office_people', methods: ['GET'])]
#[IsGranted('ROLE_LEAD')]
final class ShowPeople extends AbstractController
{
    public function __invoke(
        StaffRepository $people,
        ClinicRepository $clinics,
        HandOver $handOver,
        Deputies $deputies,
    ): Response {
        $clinic = $clinics->own();

        return $this->render('Office/people.html.twig', [
            'clinic' => $clinic,
            'people' => $people->all(),
            'names' => $clinics->namesOfStaff(),
            'counts' => $handOver->counts($clinic->id),
            'deputies' => $deputies->ahead($clinic->id, $clinic->zone),
        ]);
    }
}
