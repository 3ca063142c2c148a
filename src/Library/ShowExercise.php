<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\LadderKind;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One exercise with everything that is known of it, or as a sheet in large type. */
#[IsGranted('ROLE_STAFF')]
final class ShowExercise extends AbstractController
{
    public function __construct(
        private readonly CatalogueStore $store,
        private readonly ShapeSettings $shapes,
    ) {
    }

    #[Route(
        '/exercises/of/{rung}',
        name: 'library_exercise',
        requirements: ['rung' => '[a-z0-9-]+'],
        methods: ['GET'],
    )]
    public function page(string $rung, Request $request): Response
    {
        return $this->show('Library/exercise.html.twig', $rung, $request);
    }

    #[Route(
        '/exercises/of/{rung}/print',
        name: 'library_print',
        requirements: ['rung' => '[a-z0-9-]+'],
        methods: ['GET'],
    )]
    public function print(string $rung, Request $request): Response
    {
        return $this->show('Library/print.html.twig', $rung, $request);
    }

    private function show(string $template, string $id, Request $request): Response
    {
        $catalogue = $this->store->get();
        if (!$catalogue->hasRung($id)) {
            throw $this->createNotFoundException('No such exercise.');
        }
        $rung = $catalogue->rung($id);
        $ladder = $catalogue->ladderOf($id);
        if (LadderKind::Protocol === $ladder->kind) {
            $this->denyAccessUnlessGranted('ROLE_RELEASE');
        }
        $own = OwnExercise::keyAndVersion($id);

        return $this->render($template, [
            'rung' => $rung,
            'ladder' => $ladder,
            'side' => Side::tryFrom($request->query->getString('side')) ?? Side::Right,
            'own' => $own,
            'easier' => null === $own
                ? $catalogue->easierThan($id)
                : array_map(
                    $catalogue->rung(...),
                    array_filter($rung->easier, $catalogue->hasRung(...)),
                ),
            'harder' => null === $own
                ? $catalogue->harderThan($id)
                : array_map(
                    $catalogue->rung(...),
                    array_filter($rung->harder, $catalogue->hasRung(...)),
                ),
            'handbook' => $catalogue->handbook(),
            'scripts' => $catalogue->handbook()->scriptPartsOf($id),
            'shapesOff' => 'timing' === $ladder->strand->value ? $this->shapes->off() : [],
            'stopRules' => $catalogue->screening->stopRules,
            'pulling' => $catalogue->screening->pullingIsFine,
        ]);
    }
}
