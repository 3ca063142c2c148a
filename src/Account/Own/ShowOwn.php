<?php

declare(strict_types=1);

namespace HandGarden\Account\Own;

use HandGarden\Account\SignIn\Again;
use HandGarden\Account\Staff;
use HandGarden\Account\Who;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What somebody sees and changes of their own account. */
#[IsGranted('ROLE_STAFF')]
final class ShowOwn extends AbstractController
{
    public function __construct(
        private readonly Who $who,
        private readonly Again $again,
        private readonly ChangePassword $change,
        private readonly OwnSession $session,
    ) {
    }

    #[Route('/me', name: 'account_me', methods: ['GET'])]
    public function show(): Response
    {
        return $this->page($this->who->staff(), []);
    }

    /** The old password is always asked for: who sits down at an open page cannot take the account over. */
    #[Route('/me/password', name: 'account_password', methods: ['POST'])]
    public function password(Request $request): Response
    {
        $staff = $this->who->staff();
        $problems = Problems::said(
            [Again::PASSWORD => $this->again->problem($request, $staff, isWhole: false)],
        );
        if ([] === $problems) {
            $problems = $this->change->problems($request, $staff);
        }
        if ([] !== $problems) {
            return $this->page($staff, $problems);
        }
        $this->change->change($request->request->getString(ChangePassword::FIRST), $staff);
        $this->session->goesOnFor($staff);
        $this->addFlash('done', 'Your new password is kept. You are signed out everywhere else.');

        return $this->redirectToRoute('account_me', [], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $problems by field */
    private function page(Staff $staff, array $problems): Response
    {
        return $this->render(
            'Account/me.html.twig',
            ['staff' => $staff, 'problems' => $problems],
            new Response(status: [] === $problems ? 200 : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
