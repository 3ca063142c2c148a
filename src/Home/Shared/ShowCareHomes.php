<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Home\HomeAddress;
use HandGarden\Home\HomeDevices;
use HandGarden\Home\TakenOutWhy;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Care homes with their residents, who works there, and the tablets they share. */
#[Route('/clinic/care-homes', name: 'home_care_homes')]
#[IsGranted('ROLE_THERAPIST')]
final class ShowCareHomes extends AbstractController
{
    public function __construct(
        private readonly CareHomes $homes,
        private readonly Residents $residents,
        private readonly ClientRepository $clients,
        private readonly ClinicRepository $clinics,
        private readonly HomeDevices $devices,
        private readonly HomeAddress $address,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    public function all(): Response
    {
        return $this->render('Home/care_homes.html.twig', ['homes' => $this->homes->all()]);
    }

    #[Route('', name: '_add', methods: ['POST'])]
    public function add(Request $request): Response
    {
        $name = trim((string) $request->request->get('name', ''));
        if ('' === $name || mb_strlen($name) > CareHome::NAME_LETTERS) {
            $this->addFlash(
                'problem',
                \sprintf('Give it a name of at most %d letters.', CareHome::NAME_LETTERS),
            );

            return $this->redirectToRoute('home_care_homes', [], Response::HTTP_SEE_OTHER);
        }
        $home = new CareHome($this->clinics->own()->id, $name, at: $this->clock->now());
        $this->homes->keep($home);
        $this->audit->wrote('added a care home', null, $home->id);

        return $this->redirectToRoute(
            'home_care_homes_one',
            ['home' => $home->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/{home}', name: '_one', methods: ['GET'])]
    public function one(Request $request, string $home): Response
    {
        $own = $this->clinics->own();
        $found = $this->homes->find($own->id, $home) ?? throw $this->createNotFoundException(
            'No such care home.',
        );
        $residents = [];
        foreach ($found->residents() as $id => $picture) {
            $client = $this->clients->find($own->id, $id);
            if (null !== $client) {
                $residents[] = [
                    'client' => $client,
                    'picture' => $picture,
                    'opens' => null !== $this->residents->openTo($found, $id),
                ];
            }
        }

        return $this->render('Home/care_home.html.twig', [
            'home' => $found,
            'residents' => $residents,
            'workers' => $this->homes->workers($found),
            'tablets' => $this->homes->tablets($found),
            'others' => array_values(array_filter(
                $this->clients->all($own->id, archived: false),
                static fn (Client $c): bool => !$found->hasResident($c->id),
            )),
            'zone' => $own->zone,
            'pairing' => $this->devices->pairingOfCareHome($found->id, $this->clock->now()),
            'address' => $this->address->toEnter($request),
            'hindrance' => $this->address->hindrance($request, $own),
            'whys' => TakenOutWhy::ofTablets(),
        ]);
    }
}
