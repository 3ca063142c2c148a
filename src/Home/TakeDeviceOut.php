<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Core\Data\Dates;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One tap and a reason: the device opens nothing more; what it still holds comes in and waits for a look. */
#[Route('/clients/{client}/home/devices/{telephone}/out', name: 'home_take_out', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class TakeDeviceOut extends AbstractController
{
    public function __construct(
        private readonly HomeDevices $devices,
        private readonly DevicesOut $out,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client, string $telephone): Response
    {
        $found = $this->devices->find($client, $telephone) ?? throw $this->createNotFoundException();
        $why = TakenOutWhy::tryFrom((string) $request->request->get('why', ''));
        if (null === $why) {
            $this->addFlash('problem', 'Say why the device is taken out.');
        } elseif ($found->isIn()) {
            $lost = TakenOutWhy::Lost === $why
                ? Dates::day((string) $request->request->get('lost_on', ''))
                : null;
            $this->out->takeOut($found, $client, $why, null === $lost ? null : min(
                $this->clock->now(),
                new \DateTimeImmutable($lost->format('Y-m-d'), new \DateTimeZone($client->zone)),
            ));
            $this->audit->wrote('took device out', $client->id, $found->id);
            $this->addFlash('done', 'The device opens nothing more.');
        }

        return $this->redirectToRoute('home_side', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
