<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * Puts a ladder first in what matters most, or leaves it to the suggestion again. It counts from the next suggestion.
 */
#[Route('/clients/{client}/focus', name: 'planning_focus', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class ChooseFocus extends AbstractController
{
    private const MOST = 3;
    private const NOTE_LETTERS = 300;

    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $key = (string) $request->request->get('ladder', '');
        $chosen = $this->plans->focusChoices($client);
        $problem = 'end' === $request->request->get('do')
            ? $this->end($chosen, $key)
            : $this->choose($client, $chosen, $key, trim((string) $request->request->get('note', '')));
        if (null === $problem) {
            $this->audit->wrote('changed focus', $client->id);
        }
        $this->addFlash(
            null === $problem ? 'done' : 'problem',
            $problem ?? 'Kept. It counts from the next suggestion.',
        );

        return $this->redirectToRoute(
            'planning_routine',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /**
     * @param list<FocusChoice> $chosen
     *
     * @return ?string the problem
     */
    private function end(array $chosen, string $key): ?string
    {
        foreach ($chosen as $choice) {
            if ($choice->key() === $key) {
                $choice->endedAt = $this->clock->now();
                $this->plans->keep($choice);

                return null;
            }
        }

        return 'That was not chosen.';
    }

    /**
     * @param list<FocusChoice> $chosen
     *
     * @return ?string the problem
     */
    private function choose(Client $client, array $chosen, string $key, string $note): ?string
    {
        [$ladder, $side] = explode('|', $key) + [1 => ''];
        $isPlaced = [] !== array_filter(
            $this->plan->placements($client)->ladders,
            static fn (LadderPlacement $p): bool => $p->ladder->key === $ladder && $p->side->value === $side,
        );
        $keys = array_map(static fn (FocusChoice $c): string => $c->key(), $chosen);
        $problem = match (true) {
            !$isPlaced => 'Choose a ladder.',
            '' === $note => 'Say why it comes first.',
            mb_strlen($note) > self::NOTE_LETTERS => 'Say why in 300 letters.',
            \in_array($key, $keys, true) => 'That one comes first already.',
            \count($chosen) >= self::MOST => 'Three come first already: leave one to the suggestion before.',
            default => null,
        };
        if (null === $problem) {
            $this->plans->keep(new FocusChoice(
                $client->clinicId,
                $client->id,
                $ladder,
                Side::from($side),
                note: $note,
                byStaffId: $this->who->staff()->id,
                at: $this->clock->now(),
            ));
        }

        return $problem;
    }
}
