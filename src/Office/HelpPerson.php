<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Notices;
use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\CodeKind;
use HandGarden\Account\StaffRepository;
use HandGarden\Account\Who;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Somebody cannot get in: a new link, a code for a new password, or the second factor off. */
#[IsGranted('ROLE_LEAD')]
final class HelpPerson extends AbstractController
{
    public function __construct(
        private readonly PersonActs $acts,
        private readonly Invitations $invitations,
        private readonly AccountCodes $codes,
        private readonly StaffRepository $people,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Notices $notices,
    ) {
    }

    /** Who never chose a password gets a link, the others a code that is read out to them. */
    #[Route('/clinic/people/{staff}/code', name: 'office_code', methods: ['POST'])]
    public function code(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $problems = $this->acts->unproved($request)
            + ($person->active ? [] : ['code' => 'This sign-in is switched off.'])
            + ($this->acts->isOneself($person) ? ['code' => 'Change your own password on your page.'] : []);
        if ([] !== $problems) {
            return $this->acts->refused($person, $problems, $request);
        }
        if ('' === $person->password) {
            $this->addFlash('link', $this->invitations->link($person));
            $this->audit->wrote('invited anew', null, $person->id);
        } else {
            $code = $this->codes->make($person, CodeKind::Reset, $this->who->staff()->id);
            $this->addFlash('code', $code);
            $this->audit->wrote('made a code for a new password', null, $person->id);
        }

        return $this->acts->back($person);
    }

    #[Route('/clinic/people/{staff}/second-factor-off', name: 'office_factor_off', methods: ['POST'])]
    public function factorOff(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $problems = $this->acts->unproved($request);
        if ([] !== $problems) {
            return $this->acts->refused($person, $problems, $request);
        }
        $this->people->takeOffSecondFactor($person);
        $this->audit->wrote('took off the second factor', null, $person->id);
        $this->notices->send($person, 'second-factor-off');
        $this->addFlash('done', 'The second factor is taken off. Their sessions have ended.');

        return $this->acts->back($person);
    }
}
