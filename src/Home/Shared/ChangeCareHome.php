<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Client\Helpers;
use HandGarden\Planning\HelperLeaves;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who lives in a care home, and who works there. */
#[Route('/clinic/care-homes/{home}', name: 'home_care_homes_change', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class ChangeCareHome extends AbstractController
{
    private const NAME_LETTERS = 120;

    public function __construct(
        private readonly CareHomes $homes,
        private readonly Residents $residents,
        private readonly TabletsOut $out,
        private readonly ClientRepository $clients,
        private readonly ClinicRepository $clinics,
        private readonly Helpers $helpers,
        private readonly HelperLeaves $leaving,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, string $home): Response
    {
        $clinicId = $this->clinics->own()->id;
        $found = $this->homes->find($clinicId, $home) ?? throw $this->createNotFoundException(
            'No such care home.',
        );
        [$problem, $done] = match ((string) $request->request->get('do', '')) {
            'resident' => $this->takeIn($found, (string) $request->request->get('client', '')),
            'gone' => $this->letGo($found, (string) $request->request->get('client', '')),
            'worker' => $this->add($found, $request),
            'digits' => $this->digits($found, $request),
            'left' => $this->leave($found, (string) $request->request->get('worker', '')),
            default => ['Choose what is to be noted; nothing was.', ''],
        };
        if ('' === $problem) {
            $this->homes->keep($found);
            $this->audit->wrote('changed a care home', null, $found->id);
        }
        $this->addFlash('' === $problem ? 'done' : 'problem', '' === $problem ? $done : $problem);

        return $this->redirectToRoute(
            'home_care_homes_one',
            ['home' => $found->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** @return array{string, string} what is wrong, or what was done */
    private function takeIn(CareHome $home, string $clientId): array
    {
        $client = $this->clients->find($home->clinicId, $clientId);

        return match (true) {
            null === $client => ['Choose who lives there.', ''],
            $home->isFull() => ['The list of one care home is full.', ''],
            !$this->residents->agrees($client) => [
                \sprintf(
                    '%s has not agreed to home use, and that a helper sees and logs.',
                    $client->givenName,
                ),
                '',
            ],
            default => ['', $this->took($home, $client)],
        };
    }

    private function took(CareHome $home, Client $client): string
    {
        $home->takeIn($client);

        return \sprintf('%s is on the list.', $client->givenName);
    }

    /** @return array{string, string} */
    private function letGo(CareHome $home, string $clientId): array
    {
        if (!$home->hasResident($clientId)) {
            return ['They are not on the list.', ''];
        }
        $home->letGo($clientId);
        $this->out->ofResident($home, $clientId);

        return ['', 'Not on the list any more; the tablets open this plan no longer.'];
    }

    /** @return array{string, string} */
    private function add(CareHome $home, Request $request): array
    {
        $name = trim((string) $request->request->get('name', ''));
        $initials = mb_strtoupper(trim((string) $request->request->get('initials', '')));
        $digits = (string) $request->request->get('digits', '');
        $problem = match (true) {
            '' === $name || mb_strlen($name) > self::NAME_LETTERS => 'Say who it is.',
            1 !== preg_match(CareWorker::INITIALS, $initials) => 'Initials are two to four letters.',
            1 !== preg_match(CareWorker::DIGITS, $digits) => 'Choose four to six digits.',
            null !== $this->homes->workerByInitials(
                $home,
                $initials,
            ) => 'Somebody here has these initials already.',
            default => '',
        };
        if ('' === $problem) {
            $this->homes->keep(new CareWorker(
                $home->clinicId,
                $home->id,
                $name,
                $initials,
                digits: $digits,
                at: $this->clock->now(),
            ));
        }

        return [$problem, 'Known on the tablets. Tell the stop signs, teach and sign under each resident’s helpers.'];
    }

    /** @return array{string, string} */
    private function digits(CareHome $home, Request $request): array
    {
        $worker = $this->homes->worker($home, (string) $request->request->get('worker', ''));
        $digits = (string) $request->request->get('digits', '');
        if (null === $worker || 1 !== preg_match(CareWorker::DIGITS, $digits)) {
            return ['Choose four to six digits.', ''];
        }
        $worker->setDigits($digits);

        return ['', 'The new digits hold from now on.'];
    }

    /** @return array{string, string} */
    private function leave(CareHome $home, string $workerId): array
    {
        $worker = $this->homes->worker($home, $workerId);
        if (null === $worker) {
            return ['They do not work there.', ''];
        }
        $worker->leftAt = $this->clock->now();
        foreach ($this->helpers->whoAre($worker->id) as $helper) {
            $this->leaving->leave($helper);
        }

        return ['', \sprintf('%s has left; what they were signed for ends today.', $worker->name)];
    }
}
