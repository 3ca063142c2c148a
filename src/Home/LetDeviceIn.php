<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** At the visit: a code that goes once, the pictures on both screens, and the word of the therapist. */
#[IsGranted('ROLE_THERAPIST')]
final class LetDeviceIn extends AbstractController
{
    public function __construct(
        private readonly HomeDevices $devices,
        private readonly Consents $consents,
        private readonly Helpers $helpers,
        private readonly HomeAddress $address,
        private readonly ClinicRepository $clinics,
        private readonly Letting $letting,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/home/let-in', name: 'home_let_in', methods: ['POST'])]
    public function begin(Request $request, Client $client): Response
    {
        $asked = (string) $request->request->get('person', '');
        $helper = '' === $asked ? null : $this->helpers->find($client, $asked);
        $label = mb_substr(trim((string) $request->request->get('label', '')), 0, Pairing::LABEL_LETTERS);
        $problem = $this->problem($request, $client, $label, $asked, helper: $helper);
        if (null !== $problem) {
            $this->addFlash('problem', $problem);

            return $this->back($client);
        }
        $this->addFlash(ShowHome::CODE, $this->letting->begin(
            $this->devices->pairing($client, $this->clock->now()),
            static fn (string $codeHash, string $byId, \DateTimeImmutable $now): Pairing => new Pairing(
                $client->clinicId,
                $client->id,
                $helper?->id,
                $label,
                codeHash: $codeHash,
                madeById: $byId,
                madeAt: $now,
            ),
        ));

        return $this->back($client);
    }

    /** What the page asks while it waits: whether somebody typed the code, and which pictures they see. */
    #[Route('/clients/{client}/home/let-in/state', name: 'home_let_in_state', methods: ['GET'])]
    public function state(Client $client): JsonResponse
    {
        return new JsonResponse(Letting::state($this->devices->pairing($client, $this->clock->now())));
    }

    #[Route('/clients/{client}/home/let-in/confirm', name: 'home_confirm', methods: ['POST'])]
    public function confirm(Request $request, Client $client): Response
    {
        $isIn = $this->letting->confirm(
            $this->devices->pairing($client, $this->clock->now()),
            'same' === $request->request->get('pictures'),
        );
        $this->addFlash(true === $isIn ? 'done' : 'problem', match ($isIn) {
            true => 'The device opens the plan now.',
            false => 'Nobody was let in. Make a new code and type it into the right device.',
            null => 'This code is over. Make a new one.',
        });

        return $this->back($client);
    }

    /** @param string $asked id of the helper whose device it is to be; empty: the client's own */
    private function problem(
        Request $request,
        Client $client,
        string $label,
        string $asked,
        ?Helper $helper,
    ): ?string {
        return match (true) {
            null !== $this->address->hindrance(
                $request,
                $this->clinics->own(),
            ) => 'Devices cannot be let in here yet.',
            '' === $label => 'Say which device it is, such as “telephone”.',
            !$this->consents->holds(
                $client,
                ConsentKind::HomeUse,
            ) => 'The client has not agreed to home use yet.',
            '' !== $asked && (null === $helper || null !== $helper->leftAt) => 'There is no such helper on the record.',
            null !== $helper && !$this->consents->holds(
                $client,
                ConsentKind::HelperSees,
            ) => 'The client has not agreed that a helper sees the plan.',
            $this->devices->count($client, $helper?->id) >= HomeDevice::MOST => \sprintf(
                'There are %d devices already. Take one out first.',
                HomeDevice::MOST,
            ),
            default => null,
        };
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute('home_side', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
