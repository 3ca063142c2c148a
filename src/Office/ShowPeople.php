<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\StaffRepository;
use HandGarden\Client\Deputies;
use HandGarden\Client\HandOver;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who works here, as what, and who stands in for whom. */
#[Route('/clinic/people', name: 'office_people', methods: ['GET'])]
#[IsGranted('ROLE_LEAD')]
final class ShowPeople extends AbstractController
{
    /** Mail that is kept in the house, see the demonstration. */
    private const KEPT_MAIL = 'house:';

    public function __construct(
        #[Autowire('%env(MAILER_DSN)%')]
        private readonly string $dsn,
    ) {
    }

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
            'hasMailbox' => str_starts_with($this->dsn, self::KEPT_MAIL),
            'deputies' => $deputies->ahead($clinic->id, $clinic->zone),
        ]);
    }
}
