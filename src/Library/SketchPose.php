<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\DrawingReader;
use HandGarden\Content\Pictures\SvgWriter;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\View;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Draws the pose that is being made: light while a slider moves, whole when it rests; on both sides. */
#[Route('/exercises/pose', name: 'library_pose', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class SketchPose extends AbstractController
{
    public function __invoke(Request $request): Response
    {
        $form = $request->request->all();
        $view = View::tryFrom(\is_string($form['view'] ?? null) ? $form['view'] : '') ?? View::Three;
        $which = 'start' === ($form['which'] ?? '') ? 'start' : 'end';
        $given = $form['pose'][$which] ?? [];
        try {
            $pose = DrawingReader::pose(
                Node::root(
                    OwnExerciseForm::angles(\is_array($given) ? $given : []),
                    'pose.'.$which,
                ),
            );
        } catch (InvalidData $e) {
            return new JsonResponse(
                ['problem' => $e->problem],
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        $painter = new Painter();
        $pictures = [];
        $ofHand = $view->isOfFigure() ? View::Three : $view;
        foreach (Side::cases() as $side) {
            $painting = '1' === ($form['whole'] ?? '')
                ? $painter->paint(
                    PictureSpec::ofPose(
                        new NamedPose('typed', $pose),
                        $ofHand,
                        $side,
                    ),
                )
                : $painter->sketch($pose, $ofHand, $side);
            $layers = SvgWriter::layersOf($painting);
            $pictures[$side->value] = ['window' => $painting->window, 'layers' => $layers];
        }

        return new JsonResponse($pictures);
    }
}
