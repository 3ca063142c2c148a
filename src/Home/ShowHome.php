<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The home side of a client as the clinic sees it: who may open the plan, what they agreed to, what they wrote. */
#[Route('/clients/{client}/home', name: 'home_side', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowHome extends AbstractController
{
    /** Under this name the code is shown once, on the page after it was made. */
    public const CODE = 'home_code';

    public function __construct(
        private readonly HomeDevices $devices,
        private readonly Consents $consents,
        private readonly Helpers $helpers,
        private readonly HelperWords $words,
        private readonly Messages $messages,
        private readonly HomeAddress $address,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $now = $this->clock->now();
        $pairing = $this->devices->pairing($client, $now);
        $consents = [];
        foreach ($this->consents->of($client) as $consent) {
            $consents[$consent->kind->value][] = $consent;
        }

        $devices = $this->devices->of($client);
        $whose = $this->helpers->names($client);
        $said = [];
        foreach ($devices as $device) {
            $said[$device->id] = $whose[$device->helperId ?? ''] ?? $client->givenName;
        }

        return $this->render('Home/side.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'devices' => $devices,
            'helperWords' => $this->words->of($client),
            'toTalkWith' => $this->words->toTalkWith($client),
            'helpers' => $this->helpers->of($client),
            'whose' => $whose,
            'said' => $said,
            'now' => $now,
            'pairing' => $pairing,
            'address' => $this->address->toEnter($request),
            'hindrance' => $this->address->hindrance($request, $this->clinics->own()),
            'kinds' => ConsentKind::cases(),
            'ways' => ConsentWay::cases(),
            'consents' => $consents,
            'messages' => $this->messages->of($client),
            'whys' => TakenOutWhy::cases(),
            'names' => $this->clinics->namesOfStaff(),
            'today' => $this->clock->today($client->zone),
        ]);
    }
}
