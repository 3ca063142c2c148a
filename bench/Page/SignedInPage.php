<?php

declare(strict_types=1);

namespace HandGarden\Bench\Page;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The second yardstick: a page with a person signed in and the session in PostgreSQL, and nothing else. */
#[Route('/bench/signed-in', name: 'bench_signed_in', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class SignedInPage extends AbstractController
{
    public function __invoke(): Response
    {
        return $this->render('base.html.twig');
    }
}
