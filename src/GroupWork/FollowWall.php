<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Sitting\Player;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What the wall shows now, for the screen at one place: it knows nothing of the others. */
#[Route('/played/class', name: 'class_follow', methods: ['GET'], stateless: true)]
#[IsGranted('ROLE_PLAYER')]
final class FollowWall extends AbstractController
{
    public function __construct(
        private readonly Classes $classes,
        private readonly RunState $state,
    ) {
    }

    public function __invoke(#[CurrentUser] Player $player): JsonResponse
    {
        [$run] = $this->classes->ofSitting($player->sittingId(), $player->clinicId())
            ?? throw $this->createNotFoundException('This sitting is of no class.');

        return new JsonResponse(
            ['at' => $run->at, 'stopped' => $this->state->isStopped($run), 'over' => $run->isOver()],
            headers: ['Cache-Control' => 'no-store'],
        );
    }
}
