<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Content\CatalogueStore;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * What stands beside the ladders: rules and helper words, the hands-on release, hand shapes.
 */
#[IsGranted('ROLE_STAFF')]
final class ShowHandbook extends AbstractController
{
    public function __construct(
        private readonly CatalogueStore $store,
    ) {
    }

    #[Route('/exercises/rules', name: 'library_rules', methods: ['GET'])]
    public function rules(ShapeSettings $shapes): Response
    {
        $catalogue = $this->store->get();

        return $this->render(
            'Library/rules.html.twig',
            [
                'handbook' => $catalogue->handbook(),
                'catalogue' => $catalogue,
                'off' => $shapes->off(),
            ],
        );
    }

    #[Route('/exercises/hands-on-release', name: 'library_release', methods: ['GET'])]
    #[IsGranted('ROLE_RELEASE')]
    public function release(): Response
    {
        $catalogue = $this->store->get();

        return $this->render(
            'Library/release.html.twig',
            [
                'release' => $catalogue->handbook()->release,
                'gate' => $catalogue->vocabulary->gates['G-RELEASE'] ?? null,
                'catalogue' => $catalogue,
            ],
        );
    }

    #[Route('/exercises/shapes', name: 'library_shapes', methods: ['POST'])]
    #[IsGranted('ROLE_LEAD')]
    public function shapes(
        Request $request,
        ClinicRepository $clinics,
        OwnExercises $exercises,
        Audit $audit,
    ): Response {
        $off = [];
        foreach ($this->store->get()->handbook()->shapes as $key => $shape) {
            if ($shape->mayBeSwitchedOff && '1' !== $request->request->getString($key)) {
                $off[] = $key;
            }
        }
        $clinic = $clinics->own();
        $clinic->shapesOff = $off;
        $exercises->save();
        $audit->wrote(
            'hand shapes left out: '.([] === $off ? 'none' : implode(', ', $off)),
            null,
            $clinic->id,
        );
        $this->addFlash(
            'done',
            [] === $off
                ? 'All hand shapes are shown.'
                : 'Left out from now on: '.implode(', ', $off).'.',
        );

        return $this->redirectToRoute('library_rules', [], Response::HTTP_SEE_OTHER);
    }
}
