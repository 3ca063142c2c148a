<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

#[Route('/sign-in', name: 'account_sign_in', methods: ['GET', 'POST'])]
final class AskPassword extends AbstractController
{
    public function __invoke(AuthenticationUtils $authentication): Response
    {
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('desk_today');
        }
        $error = $authentication->getLastAuthenticationError();

        return $this->render(
            'Account/sign-in.html.twig',
            ['email' => $authentication->getLastUsername(), 'error' => $error],
            new Response(status: null === $error ? 200 : 422),
        );
    }
}
