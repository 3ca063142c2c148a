<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Draws a hand that is asked for the first time; afterwards the web server serves the file. Open to all: see the
 * firewall
 * `pictures`. Only what a signed-in page has named is drawn.
 */
#[Route(
    '/hands/{hash}.svg',
    name: 'content_hand',
    requirements: ['hash' => '[0-9a-f]{32}'],
    methods: ['GET'],
)]
final class ShowHand extends AbstractController
{
    public function __invoke(string $hash, HandPictures $pictures): Response
    {
        $svg = $pictures->draw($hash) ?? throw $this->createNotFoundException('No such picture.');

        return new Response(
            $svg,
            200,
            [
                'Content-Type' => 'image/svg+xml',
                'Cache-Control' => 'public, max-age=31536000, immutable',
            ],
        );
    }
}
