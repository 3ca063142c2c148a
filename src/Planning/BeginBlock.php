<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Data\Dates;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Week\Block;
use HandGarden\Core\Week\InvalidWeek;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Begins a block of practice; one that runs ends with it. */
#[Route('/clients/{client}/block', name: 'planning_block', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class BeginBlock extends AbstractController
{
    private const DAYS_APART = 60;

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $begins = Dates::day((string) $request->request->get('begins', ''));
        $sample = InkTask::tryFrom((string) $request->request->get('sample', ''));
        $problem = $this->problem($begins, $sample, $today);
        try {
            $block = null === $begins ? null : new Block($begins, 7 * $request->request->getInt('weeks'));
        } catch (InvalidWeek $e) {
            $block = null;
            $problem ??= $this->wording->say($e->why);
        }
        if (null !== $problem || null === $block || null === $sample) {
            $this->addFlash('problem', $problem.' No block was begun.');
        } else {
            $this->plans->keep(new PlanBlock(
                $client->clinicId,
                $client->id,
                $block->begins,
                $block->days,
                sample: $sample,
                byStaffId: $this->who->staff()->id,
                at: $this->clock->now(),
            ));
            $this->audit->wrote('began block', $client->id);
            $this->addFlash('done', 'The block is kept.');
        }

        return $this->redirectToRoute('planning_week', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }

    private function problem(
        ?\DateTimeImmutable $begins,
        ?InkTask $sample,
        \DateTimeImmutable $today,
    ): ?string {
        return match (true) {
            null === $begins => 'Say on which day it begins.',
            null === $sample => 'Choose the sample that shows what has changed.',
            abs(
                (int) $today->diff($begins)->format('%r%a'),
            ) > self::DAYS_APART => 'That day is too far away.',
            default => null,
        };
    }
}
