<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\LadderKind;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A ladder as a stem with its rungs. */
#[Route(
    '/exercises/ladder/{ladder}',
    name: 'library_ladder',
    requirements: ['ladder' => '[a-z]+-\d+'],
    methods: ['GET'],
)]
#[IsGranted('ROLE_STAFF')]
final class ShowLadder extends AbstractController
{
    public function __invoke(string $ladder, CatalogueStore $store): Response
    {
        foreach ($store->get()->ladders() as $found) {
            if ($found->key === $ladder) {
                if (LadderKind::Protocol === $found->kind) {
                    $this->denyAccessUnlessGranted('ROLE_RELEASE');
                }

                return $this->render('Library/ladder.html.twig', ['ladder' => $found]);
            }
        }

        throw $this->createNotFoundException('No such ladder.');
    }
}
