<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Classes: who sits where, what is led, and what each place does with it. */
#[Route('/classes', name: 'class_all')]
#[IsGranted('ROLE_STAFF')]
final class ShowClasses extends AbstractController
{
    public function __construct(
        private readonly Classes $classes,
        private readonly Members $members,
        private readonly ClassPlan $plan,
        private readonly ClassIdeas $ideas,
        private readonly ClientRepository $clients,
        private readonly ClinicRepository $clinics,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    public function all(): Response
    {
        return $this->render('GroupWork/classes.html.twig', [
            'classes' => array_map(fn (HandClass $class): array => [
                'class' => $class,
                'run' => $this->classes->running($class),
            ], $this->classes->all()),
        ]);
    }

    #[Route('', name: '_add', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function add(Request $request): Response
    {
        $name = trim((string) $request->request->get('name', ''));
        if ('' === $name || mb_strlen($name) > HandClass::NAME_LETTERS) {
            $this->addFlash(
                'problem',
                \sprintf('Give it a name of at most %d letters.', HandClass::NAME_LETTERS),
            );

            return $this->redirectToRoute('class_all', [], Response::HTTP_SEE_OTHER);
        }
        $class = new HandClass(
            $this->clinics->own()->id,
            $name,
            $this->who->staff()->id,
            $this->clock->now(),
        );
        $this->classes->keep($class);
        $this->audit->wrote('added a class', null, $class->id);

        return $this->redirectToRoute('class_all_one', ['class' => $class->id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/{class}', name: '_one', methods: ['GET'])]
    public function one(string $class): Response
    {
        $found = $this->classes->get($class);
        $members = $this->members->of($found);
        $here = Members::able($members);
        $rungs = $this->plan->rungs($found);
        $cards = [];
        foreach ($here as $member) {
            $this->audit->read('class', $member->client->id);
            $cards[$member->number] = $this->plan->card($found, $member->client);
        }

        $leads = $this->plan->leads($rungs, array_values($cards));

        return $this->render('GroupWork/class.html.twig', [
            'class' => $found,
            'run' => $this->classes->running($found),
            'members' => $members,
            'cards' => $cards,
            'rungs' => $rungs,
            'leads' => $leads,
            'minutes' => (int) ceil((new Sequence($leads))->seconds() / 60),
            'staffNeeded' => $this->plan->staffNeeded($found, $here),
            'ideas' => $this->isGranted('ROLE_THERAPIST') ? $this->ideas->for($here) : [],
            'here' => \count($here),
            'others' => array_values(array_filter(
                $this->clients->all($found->clinicId, archived: false),
                static fn (Client $c): bool => !$found->has($c->id),
            )),
        ]);
    }
}
