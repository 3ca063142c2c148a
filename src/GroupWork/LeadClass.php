<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\Audit;
use HandGarden\Client\ClientRepository;
use HandGarden\Sitting\BeginSitting;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Typed;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who is there today, how they are, and off it goes. */
#[Route('/classes/{class}/begin', name: 'class_begin', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_STAFF')]
final class LeadClass extends AbstractController
{
    public function __construct(
        private readonly Classes $classes,
        private readonly Members $members,
        private readonly ClassPlan $plan,
        private readonly BeginClass $begin,
        private readonly SittingRepository $sittings,
        private readonly ClientRepository $clients,
        private readonly Audit $audit,
    ) {
    }

    public function __invoke(Request $request, string $class): Response
    {
        $found = $this->classes->get($class);
        $running = $this->classes->running($found);
        if (null !== $running) {
            return $this->redirectToRoute('class_run', ['run' => $running->id], Response::HTTP_SEE_OTHER);
        }
        $members = $this->members->of($found);
        $problems = [];
        if ($request->isMethod('POST')) {
            [$present, $problems] = $this->present($request, $members);
            $problems += $this->ofAll($found, $present);
            if ([] === $problems && [] !== $present) {
                $run = $this->begin->with($found, $present);
                $this->audit->wrote('began class', null, $run->id);

                return $this->redirectToRoute('class_run', ['run' => $run->id], Response::HTTP_SEE_OTHER);
            }
        }

        return $this->render('GroupWork/begin.html.twig', [
            'class' => $found,
            'members' => array_map(fn (Member $m): array => [
                'member' => $m,
                'hasEarlier' => [] !== $this->sittings->lastLogged($m->client),
            ], $members),
            'problems' => $problems,
            'typed' => Typed::texts($request),
            'isSent' => $request->isMethod('POST'),
        ], new Response(status: [] === $problems ? 200 : 422));
    }

    /**
     * @param list<Member> $members
     *
     * @return array{list<Present>, array<string, string>} who is there, and what is missing, by field
     */
    private function present(Request $request, array $members): array
    {
        $present = $problems = [];
        foreach ($members as $member) {
            $n = $member->number;
            if (null !== $member->hindrance || !$request->request->has('here_'.$n)) {
                continue;
            }
            // what others are changing of them is waited for
            $this->clients->findToChange($member->client->clinicId, $member->client->id);
            $pain = BeginSitting::painIn($request, 'pain_'.$n);
            $hurt = (string) $request->request->get('hurt_'.$n, '');
            if (null === $pain) {
                $problems['pain_'.$n] = BeginSitting::ASK_PAIN;
            }
            if (
                !\in_array($hurt, ['yes', 'no'], true)
                && [] !== $this->sittings->lastLogged($member->client)
            ) {
                $problems['hurt_'.$n] = 'Ask this before every start.';
            }
            $present[] = new Present($member, $pain ?? 0, 'yes' === $hurt);
        }

        return [$present, $problems];
    }

    /**
     * @param list<Present> $present
     *
     * @return array<string, string>
     */
    private function ofAll(HandClass $class, array $present): array
    {
        $needed = $this->plan->staffNeeded(
            $class,
            array_map(static fn (Present $p): Member => $p->member, $present),
        );

        $problem = match (true) {
            [] === $present => 'Say who is there.',
            [] === $this->plan->rungs($class) => 'This class has no exercises yet.',
            $needed > $class->staff => \sprintf(
                '%d of the staff are needed for those who are there, and %d come. Fewer places, or more staff.',
                $needed,
                $class->staff,
            ),
            default => '',
        };

        return '' === $problem ? [] : ['all' => $problem];
    }
}
