<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A consent is kept with who gave it and how; taking it back is one sentence to anybody, and holds at once. */
final class KeepConsent extends AbstractController
{
    public function __construct(
        private readonly Consents $consents,
        private readonly HomeDevices $devices,
        private readonly DevicesOut $out,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/home/consents', name: 'home_consent', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function keep(Request $request, Client $client): Response
    {
        $kind = ConsentKind::tryFrom((string) $request->request->get('kind', ''))
            ?? throw $this->createNotFoundException();
        $way = ConsentWay::tryFrom((string) $request->request->get('way', ''));
        $by = mb_substr(trim((string) $request->request->get('given_by', '')), 0, 80);
        if (null === $way || '' === $by) {
            $this->addFlash('problem', 'Say who agreed, and how.');
        } elseif (!$this->consents->holds($client, $kind)) {
            $consent = new Consent(
                $client->clinicId,
                $client->id,
                $kind,
                $by,
                way: $way,
                givenOn: $this->clock->today($client->zone),
                words: mb_substr(trim((string) $request->request->get('words', '')), 0, 200),
                keptById: $this->who->staff()->id,
                keptAt: $this->clock->now(),
            );
            $this->consents->keep($consent);
            $this->audit->wrote('kept consent', $client->id, $consent->id);
            $this->addFlash('done', 'The consent is kept.');
        }

        return $this->back($client);
    }

    #[Route('/clients/{client}/home/consents/{consent}/end', name: 'home_consent_end', methods: ['POST'])]
    #[IsGranted('ROLE_STAFF')]
    public function end(Request $request, Client $client, string $consent): Response
    {
        $found = $this->consents->find($client, $consent) ?? throw $this->createNotFoundException();
        $words = mb_substr(trim((string) $request->request->get('words', '')), 0, 200);
        if ('' === $words) {
            $this->addFlash('problem', 'Write down the sentence with which it was taken back.');
        } elseif ($found->holds()) {
            $found->endedAt = $this->clock->now();
            $found->endedWords = $words;
            $found->endedById = $this->who->staff()->id;
            $this->consents->keep();
            $this->takeOutWhoNoLongerMay($client, $found->kind);
            $this->audit->wrote('ended consent', $client->id, $found->id);
            $this->addFlash('done', 'The consent is taken back. It holds from now on.');
        }

        return $this->back($client);
    }

    private function takeOutWhoNoLongerMay(Client $client, ConsentKind $kind): void
    {
        foreach ($this->devices->of($client) as $device) {
            $isOver = ConsentKind::HomeUse === $kind
                || (ConsentKind::HelperSees === $kind && null !== $device->helperId);
            if ($isOver && $device->isIn()) {
                $this->out->takeOut($device, $client, TakenOutWhy::Consent);
            }
        }
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute('home_side', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
