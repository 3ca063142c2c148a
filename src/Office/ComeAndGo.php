<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\StaffRepository;
use HandGarden\Client\HandOver;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Somebody leaves, or is back. Their records stay under their name; their clients go to a colleague. */
#[IsGranted('ROLE_LEAD')]
final class ComeAndGo extends AbstractController
{
    public function __construct(
        private readonly PersonActs $acts,
        private readonly StaffRepository $people,
        private readonly HandOver $handOver,
        private readonly PassOn $passOn,
        private readonly AccountCodes $codes,
        private readonly Audit $audit,
    ) {
    }

    #[Route('/clinic/people/{staff}/leave', name: 'office_leave', methods: ['POST'])]
    public function leave(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $hasClients = 0 < ($this->handOver->counts($person->clinicId)[$person->id] ?? 0);
        $to = $request->request->getString('leave_to');
        $problems = Problems::said([
            'leave' => match (true) {
                $this->acts->isOneself($person) => 'You cannot switch off yourself. Another lead can.',
                $this->people->isLastLead($person) => 'The clinic would be without a lead.',
                default => null,
            },
            'leave_to' => $hasClients ? $this->passOn->problem($person, $to) : null,
        ]) + $this->acts->unproved($request);
        if ([] !== $problems) {
            return $this->acts->refused($person, $problems, $request);
        }
        if ($hasClients) {
            $this->passOn->all($person, $to);
        }
        $person->active = false;
        $this->people->keep();
        $this->codes->takeBack($person);
        $this->audit->wrote('switched off', null, $person->id);
        $this->addFlash('done', $person->name.' can no longer sign in.');

        return $this->acts->back($person);
    }

    #[Route('/clinic/people/{staff}/return', name: 'office_return', methods: ['POST'])]
    public function comeBack(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $problems = $this->acts->unproved($request);
        if ([] !== $problems) {
            return $this->acts->refused($person, $problems, $request);
        }
        $person->active = true;
        $this->people->keep();
        $this->audit->wrote('switched on', null, $person->id);
        $this->addFlash('done', $person->name.' can sign in again.');

        return $this->acts->back($person);
    }
}
