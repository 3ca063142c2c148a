<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Core\Week\BlockVerdict;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\PlanRepository;
use HandGarden\Progress\Acts;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Looks back on a block: what was done, what really changed, how the task goes, how it goes on. */
final class ReviewBlock extends AbstractController
{
    private const NOTE = 500;

    public function __construct(
        private readonly BlockLooks $blocks,
        private readonly Looks $looks,
        private readonly DueList $due,
        private readonly ToldOfBlocks $told,
        private readonly PlanRepository $plans,
        private readonly Acts $acts,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/block/review', name: 'following_review', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function page(Client $client): Response
    {
        return $this->shown($client, [], null);
    }

    #[Route('/clients/{client}/block/review', name: 'following_review_block', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function review(Request $request, Client $client): Response
    {
        $form = $request->request;
        $kept = $this->plans->block($client);
        if (null === $kept || null !== $this->looks->reviewOf($client, $kept->id)) {
            $this->addFlash(
                'problem',
                'There is no block to look back on, or somebody has done so already.',
            );

            return $this->back($client, 'planning_week');
        }
        $ease = self::rating($form->get('ease'));
        $content = self::rating($form->get('content'));
        $look = $this->blocks->of($client, $kept, $ease);
        [$proposed] = $look->evidence->proposes();
        $decided = BlockVerdict::tryFrom((string) $form->get(
            'decided',
            '',
        ));
        $note = trim((string) $form->get('note', ''));
        $problem = match (true) {
            null === $decided => 'Say how it goes on.',
            $decided !== $proposed && '' === $note => 'What you chose is not what the block speaks for: say why.',
            mb_strlen($note) > self::NOTE => 'The note has more than 500 letters.',
            default => null,
        };
        if (null !== $problem) {
            return $this->shown(
                $client,
                $form->all(),
                $problem,
            );
        }
        $this->looks->keep(new BlockReview(
            $client->clinicId,
            $client->id,
            $kept->id,
            $proposed,
            decided: $decided,
            ease: $ease,
            content: $content,
            note: $note,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        ));
        $this->audit->wrote(
            'reviewed block',
            $client->id,
            $kept->id,
        );
        $this->carryOut($client, $kept, $decided);

        return $this->back(
            $client,
            BlockVerdict::Change === $decided ? 'planning_routine' : 'planning_week',
        );
    }

    private function carryOut(Client $client, PlanBlock $kept, BlockVerdict $decided): void
    {
        if (BlockVerdict::Smaller === $decided) {
            $this->acts->shorten($client);
        }
        if (BlockVerdict::Finish === $decided) {
            $this->addFlash(
                'done',
                'The block is finished. The routine stays as the plan for home until it is changed.',
            );

            return;
        }
        $next = max(
            $this->clock->today($client->zone),
            $kept->block()->ends()->modify('+1 day'),
        );
        $this->plans->keep(new PlanBlock(
            $client->clinicId,
            $client->id,
            $next,
            $kept->days,
            sample: $kept->sample,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        ));
        $this->addFlash('done', \sprintf(
            'Kept. The next block begins on %s%s.',
            $next->format('D j M'),
            match ($decided) {
                BlockVerdict::Smaller => ', with '.$client->minutes.' minutes a sitting',
                BlockVerdict::Change => '; now change the routine',
                default => '',
            },
        ));
    }

    /** @param array<string, mixed> $typed */
    private function shown(Client $client, array $typed, ?string $problem): Response
    {
        $kept = $this->plans->block($client);
        $review = null === $kept
            ? null
            : $this->looks->reviewOf(
                $client,
                $kept->id,
            );
        $said = null === $kept || null !== $review ? null : $this->told->of($kept->id);
        $ease = self::rating($typed['ease'] ?? null) ?? $review->ease ?? $said['ease'] ?? null;

        return $this->render('Following/review.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'look' => null === $kept ? null : $this->blocks->of(
                $client,
                $kept,
                $ease,
            ),
            'review' => $review,
            'stage' => null === $kept ? null : $this->due->stage(
                $client,
                $kept,
                $this->clock->today($client->zone),
            )?->value,
            'earlier' => $this->looks->reviews($client),
            'verdicts' => BlockVerdict::cases(),
            'names' => $this->clinics->namesOfStaff(),
            'said' => $said,
            'typed' => $typed + (null === $said ? [] : [
                'ease' => (string) $said['ease'],
                'content' => (string) $said['content'],
            ]),
            'problem' => $problem,
        ], new Response(status: null === $problem ? 200 : 422));
    }

    private static function rating(mixed $typed): ?int
    {
        return \is_string($typed) && 1 === preg_match('/^(10|\d)$/D', $typed) ? (int) $typed : null;
    }

    private function back(Client $client, string $route): Response
    {
        return $this->redirectToRoute(
            $route,
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
