<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Draws a moving picture that is asked for the first time; like the still ones open to all and held by nobody. */
#[Route(
    '/hands/{hash}.json',
    name: 'content_book',
    requirements: ['hash' => '[0-9a-f]{32}'],
    methods: ['GET'],
)]
final class ShowFlipBook extends AbstractController
{
    public function __invoke(string $hash, HandPictures $pictures): Response
    {
        $json = $pictures->drawBook($hash)
            ?? throw $this->createNotFoundException('No such picture.');

        return new Response(
            $json,
            200,
            [
                'Content-Type' => 'application/json',
                'Cache-Control' => 'public, max-age=31536000, immutable',
            ],
        );
    }
}
