<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\IndexedExercise;
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

    public function __invoke(
        Request $request,
        CatalogueStore $store,
        OwnExercises $own,
        OwnRungs $ownRungs,
        Who $who,
    ): Response {
        $catalogue = $store->get();
        $search = $store->search();
        $filter = FilterInput::read($request);
        $hits = $filter->isEmpty()
            ? []
            : array_values(
                array_filter(
                    $search->find($filter),
                    fn (IndexedExercise $e): bool => $this->maySee($e->kind),
                ),
            );
        [$ours, $oursInAll] = $filter->isEmpty()
            ? [$own->current($who->clinicId()), 0]
            : $own->find($who->clinicId(), $filter);
        $shown = \array_slice($hits, 0, self::MOST_SHOWN);

        return $this
            ->render(
                $request->headers->has(
                    'X-Results-Only',
                ) ? 'Library/_found.html.twig' : 'Library/exercises.html.twig',
                [
                    'strands' => Strand::cases(),
                    'overview' => $filter->isEmpty() ? $this->overview($catalogue) : [],
                    'filter' => $filter,
                    'words' => implode(' ', $filter->words),
                    'found' => array_map(
                        static fn (IndexedExercise $e): array => [
                            $catalogue->ladderOf($e->id),
                            $catalogue->rung($e->id),
                        ],
                        $shown,
                    ),
                    'foundInAll' => \count($hits) + $oursInAll,
                    'own' => array_map(
                        static fn (OwnExercise $one): array => ['exercise' => $one, 'rung' => $ownRungs->for(
                            $one,
                        )[1]],
                        $ours,
                    ),
                    'conditions' => Condition::cases(),
                    'performers' => array_filter(
                        Performer::cases(),
                        fn (Performer $p): bool => Performer::TrainedTherapist !== $p || $this->isGranted(
                            'ROLE_RELEASE',
                        ),
                    ),
                    'postures' => Posture::cases(),
                    'muscles' => $search->muscles(),
                    'materials' => $catalogue->handbook()->materials,
                ],
            );
    }

    private function maySee(LadderKind $kind): bool
    {
        return LadderKind::Protocol !== $kind || $this->isGranted('ROLE_RELEASE');
    }

    /**
     * @return list<array{strand: Strand, ladders: list<Ladder>, rungs: int}> ladders by number, as they are talked
     *    of
     */
    private function overview(Catalogue $catalogue): array
    {
        $strands = [];
        foreach (Strand::cases() as $strand) {
            $ladders = array_values(
                array_filter(
                    $catalogue->ladders(),
                    fn (Ladder $l): bool => $l->strand === $strand && $this->maySee($l->kind),
                ),
            );
            usort($ladders, static fn (Ladder $a, Ladder $b): int => strnatcmp($a->key, $b->key));
            $strands[] = [
                'strand' => $strand,
                'ladders' => $ladders,
                'rungs' => array_sum(
                    array_map(static fn (Ladder $l): int => \count($l->rungs), $ladders),
                ),
            ];
        }

        return $strands;
    }
}
