<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

/** Asks for the second factor of somebody whose password was right a moment ago. */
#[Route('/sign-in/code', name: 'account_sign_in_code', methods: ['GET', 'POST'])]
final class AskCode extends AbstractController
{
    public function __invoke(AuthenticationUtils $authentication, SessionClock $session): Response
    {
        if (null !== $this->getUser() || null === $session->waitedFor()) {
            return $this->redirectToRoute('account_sign_in');
        }
        $error = $authentication->getLastAuthenticationError();

        return $this->render(
            'Account/code.html.twig',
            ['error' => $error],
            new Response(status: null === $error ? 200 : 422),
        );
    }
}
