<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Role;
use HandGarden\Account\SignIn\Again;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffRepository;
use HandGarden\Account\Who;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** A colleague is invited: they choose their password themselves, by a link that opens once. */
#[Route('/clinic/people/invite', name: 'office_invite', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_LEAD')]
final class Invite extends AbstractController
{
    public function __construct(
        private readonly Who $who,
        private readonly StaffRepository $people,
        private readonly Invitations $invitations,
        private readonly ValidatorInterface $validator,
        private readonly Again $again,
        private readonly Audit $audit,
    ) {
    }

    public function __invoke(Request $request): Response
    {
        $input = $request->isMethod('POST') ? InviteInput::from($request) : new InviteInput();
        $problems = $request->isMethod('POST') ? $this->problems($request, $input) : [];
        if ($request->isMethod('POST') && [] === $problems && '' !== $input->email) {
            $staff = new Staff($this->who->clinicId(), $input->email, $input->name, $input->role);
            $this->people->add($staff);
            $this->audit->wrote('invited: '.$input->role->value, null, $staff->id);
            $this->addFlash('link', $this->invitations->link($staff));

            return $this->redirectToRoute(
                'office_person',
                ['staff' => $staff->id],
                Response::HTTP_SEE_OTHER,
            );
        }

        return $this->render(
            'Office/invite.html.twig',
            ['input' => $input, 'roles' => Role::cases(), 'problems' => $problems],
            new Response(status: [] === $problems ? 200 : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    /** @return array<string, string> by field */
    private function problems(Request $request, InviteInput $input): array
    {
        $problems = Problems::byField($this->validator->validate($input));
        if (!isset($problems['email']) && $this->people->isTaken($input->email)) {
            $problems['email'] = 'Somebody signs in with this already.';
        }

        return $problems + Problems::said(
            [Again::PASSWORD => $this->again->demand($request, $this->who->staff())],
        );
    }
}
