<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The player with nobody's sitting in it: what a browser keeps to open one without a network. */
final class PlayShell extends AbstractController
{
    #[Route('/play', name: 'sitting_shell', methods: ['GET'], stateless: true)]
    public function __invoke(): Response
    {
        return $this->render('Sitting/play.html.twig', ['token' => '', 'lines' => '']);
    }
}
