<?php

declare(strict_types=1);

namespace HandGarden\Account\Own;

use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\CodeKind;
use HandGarden\Account\SignIn\Throttle;
use HandGarden\Account\SignIn\TooManyTries;
use HandGarden\Account\Staff;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Somebody who has forgotten their password was given a code by a lead. */
#[Route('/new-password', name: 'account_new_password', methods: ['GET', 'POST'])]
final class NewPassword extends AbstractController
{
    public function __construct(
        private readonly AccountCodes $codes,
        private readonly ChangePassword $change,
        private readonly Throttle $throttle,
    ) {
    }

    public function __invoke(Request $request): Response
    {
        $email = mb_substr($request->request->getString('email'), 0, 180);
        $code = $request->request->getString('code');
        $problems = [];
        if ($request->isMethod('POST')) {
            $problems = $this->throttled($email, $request);
            $staff = [] === $problems ? $this->whose($email, $code) : null;
            $problems += match (true) {
                [] !== $problems => [],
                null === $staff => ['code' => 'code.wrong'],
                default => $this->change->problems($request, $staff),
            };
            if (null !== $staff && [] === $problems && $this->codes->take($code)) {
                $this->change->change($request->request->getString(ChangePassword::FIRST), $staff);
                $this->throttle->giveBack(self::account($email), null, (string) $request->getClientIp());
                $this->addFlash('done', 'Your new password is kept. Sign in with it.');

                return $this->redirectToRoute('account_sign_in', [], Response::HTTP_SEE_OTHER);
            }
        }

        return $this->render(
            'Account/new-password.html.twig',
            ['email' => $email, 'code' => $code, 'problems' => $problems],
            new Response(status: [] === $problems ? 200 : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    /** @return array<string, string> */
    private function throttled(string $email, Request $request): array
    {
        try {
            $this->throttle->take(self::account($email), null, (string) $request->getClientIp());
        } catch (TooManyTries $e) {
            return ['email' => $e->getMessageKey()];
        }

        return [];
    }

    private function whose(string $email, string $code): ?Staff
    {
        $staff = $this->codes->whose($code, CodeKind::Reset);

        return null !== $staff && $staff->active && $staff->email === mb_strtolower(
            trim($email),
        )
            ? $staff
            : null;
    }

    private static function account(string $email): string
    {
        return 'new password '.$email;
    }
}
