<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The pages at home, with nobody in them: what a device keeps to open them without a network. */
final class HomeShell extends AbstractController
{
    #[Route('/home', name: 'home_shell', methods: ['GET'], stateless: true)]
    public function home(): Response
    {
        return $this->render('Home/home.html.twig');
    }

    #[Route('/home/in', name: 'home_enter', methods: ['GET'], stateless: true)]
    public function enter(): Response
    {
        return $this->render('Home/enter.html.twig');
    }

    #[Route('/home/house', name: 'home_house', methods: ['GET'], stateless: true)]
    public function house(): Response
    {
        return $this->render('Home/house.html.twig');
    }

    #[Route('/home/play', name: 'home_play_shell', methods: ['GET'], stateless: true)]
    public function play(): Response
    {
        return $this->render('Home/play.html.twig');
    }

    /** The same page under the address of a sitting: the sitting lies in the device. */
    #[Route('/home/sittings/{id}', name: 'home_play', methods: ['GET'], stateless: true)]
    public function sitting(): Response
    {
        return $this->play();
    }
}
