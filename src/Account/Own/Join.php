<?php

declare(strict_types=1);

namespace HandGarden\Account\Own;

use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\CodeKind;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Where the link of an invitation leads: whoever was invited chooses a password. */
#[Route(
    '/join/{code}',
    name: 'account_join',
    requirements: ['code' => '[A-Z2-7]{48}'],
    methods: ['GET', 'POST'],
)]
final class Join extends AbstractController
{
    public function __invoke(
        Request $request,
        string $code,
        AccountCodes $codes,
        ChangePassword $change,
    ): Response {
        $staff = $codes->whose($code, CodeKind::Invite);
        if (null === $staff || !$staff->active) {
            return $this->render(
                'Account/no-longer.html.twig',
                [],
                new Response(status: Response::HTTP_GONE),
            );
        }
        $problems = $request->isMethod('POST') ? $change->problems($request, $staff) : [];
        if ($request->isMethod('POST') && [] === $problems && $codes->take($code)) {
            $change->change($request->request->getString(ChangePassword::FIRST), $staff);
            $this->addFlash('done', 'Your password is kept. Sign in with it.');

            return $this->redirectToRoute('account_sign_in', [], Response::HTTP_SEE_OTHER);
        }

        return $this->render(
            'Account/join.html.twig',
            ['staff' => $staff, 'problems' => $problems],
            new Response(status: [] === $problems ? 200 : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
