<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\ExerciseSearch;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Posture;
use HandGarden\Core\Catalogue\Strand;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** All strands with their ladders, or what words and filters leave of them. */
#[Route('/exercises', name: 'library_exercises', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowExercises extends AbstractController
{
    private const MOST_SHOWN = 48;

    public function __invoke(Request $request, CatalogueStore $store, OwnExercises $own, OwnRungs $ownRungs, Who $who): Response
    {
        $catalogue = $store->get();
        $filter = FilterInput::read($request);
        $found = $filter->isEmpty() ? [] : array_values(array_filter((new ExerciseSearch($catalogue))->find($filter), fn (array $hit): bool => $this->maySee($hit[0])));
        [$ours, $oursInAll] = $filter->isEmpty() ? [$own->current($who->clinicId()), 0] : $own->find($who->clinicId(), $filter);

        return $this->render($request->headers->has('X-Results-Only') ? 'Library/_found.html.twig' : 'Library/exercises.html.twig', [
            'strands' => $this->strands($catalogue),
            'filter' => $filter,
            'words' => implode(' ', $filter->words),
            'found' => \array_slice($found, 0, self::MOST_SHOWN),
            'foundInAll' => \count($found) + $oursInAll,
            'own' => array_map(static fn (OwnExercise $one): array => ['exercise' => $one, 'rung' => $ownRungs->of($one)[1]], $ours),
            'conditions' => Condition::cases(),
            'performers' => array_filter(Performer::cases(), fn (Performer $p): bool => Performer::TrainedTherapist !== $p || $this->isGranted('ROLE_THERAPIST')),
            'postures' => Posture::cases(),
            'muscles' => FilterInput::muscles($catalogue),
            'materials' => $catalogue->handbook()->materials,
            'catalogue' => $catalogue,
        ]);
    }

    private function maySee(Ladder $ladder): bool
    {
        return LadderKind::Protocol !== $ladder->kind || $this->isGranted('ROLE_THERAPIST');
    }

    /** @return list<array{strand: Strand, ladders: list<Ladder>, rungs: int}> ladders by number, as they are talked of */
    private function strands(Catalogue $catalogue): array
    {
        $strands = [];
        foreach (Strand::cases() as $strand) {
            $ladders = array_values(array_filter($catalogue->ladders(), fn (Ladder $l): bool => $l->strand === $strand && $this->maySee($l)));
            usort($ladders, static fn (Ladder $a, Ladder $b): int => strnatcmp($a->key, $b->key));
            $strands[] = ['strand' => $strand, 'ladders' => $ladders, 'rungs' => array_sum(array_map(static fn (Ladder $l): int => \count($l->rungs), $ladders))];
        }

        return $strands;
    }
}
