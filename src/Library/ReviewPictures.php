<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Audit;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Strand;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** All pictures of a strand, and whether they say what they should. */
#[IsGranted('ROLE_STAFF')]
final class ReviewPictures extends AbstractController
{
    private const NOTE_LETTERS = 300;

    public function __construct(
        private readonly CatalogueStore $store,
        private readonly PictureReviews $reviews,
    ) {
    }

    #[Route('/exercises/pictures', name: 'library_pictures', methods: ['GET'])]
    public function show(Request $request): Response
    {
        $strand = Strand::tryFrom($request->query->getString('strand')) ?? Strand::Settle;
        $ladders = array_values(array_filter(
            $this->store->get()->ladders(),
            fn (Ladder $l): bool => $l->strand === $strand && $this->mayBeSeen($l),
        ));
        $versions = [];
        foreach ($ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $versions[$rung->id] = $this->reviews->versionOf($rung);
            }
        }

        return $this->render('Library/pictures.html.twig', [
            'strand' => $strand,
            'strands' => Strand::cases(),
            'ladders' => $ladders,
            'versions' => $versions,
            'reviews' => $this->reviews->newest(),
            'verdicts' => PictureVerdict::cases(),
        ]);
    }

    #[Route('/exercises/pictures/{rung}', name: 'library_picture_review', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function review(string $rung, Request $request, Audit $audit): Response
    {
        $catalogue = $this->store->get();
        if (!$catalogue->hasRung($rung) || !$this->mayBeSeen($catalogue->ladderOf($rung))) {
            throw $this->createNotFoundException('No such exercise.');
        }
        $verdict = PictureVerdict::tryFrom($request->request->getString('verdict'));
        $note = trim($request->request->getString('note'));
        if (null === $verdict || mb_strlen($note) > self::NOTE_LETTERS) {
            $this->addFlash('problem', null === $verdict
                ? 'Say whether the pictures say what they should.'
                : \sprintf('A note has up to %d letters.', self::NOTE_LETTERS));
        } else {
            $this->reviews->keep($catalogue->rung($rung), $verdict, $note);
            $audit->wrote(\sprintf('pictures of %s: %s', $rung, $verdict->value), null, $rung);
            $this->addFlash('done', \sprintf('%s: %s.', $catalogue->rung($rung)->name, $verdict->label()));
        }

        return $this->redirectToRoute(
            'library_pictures',
            ['strand' => $catalogue->ladderOf($rung)->strand->value, '_fragment' => $rung],
            Response::HTTP_SEE_OTHER,
        );
    }

    private function mayBeSeen(Ladder $ladder): bool
    {
        return LadderKind::Protocol !== $ladder->kind || $this->isGranted('ROLE_RELEASE');
    }
}
