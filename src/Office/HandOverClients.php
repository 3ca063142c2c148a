<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Deputies;
use HandGarden\Client\Deputy;
use HandGarden\Core\Data\Dates;
use HandGarden\Web\Clock;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The clients of a therapist go to a colleague: for good, or for the days of a leave. */
#[IsGranted('ROLE_LEAD')]
final class HandOverClients extends AbstractController
{
    private const MOST_DAYS = 400;

    public function __construct(
        private readonly PersonActs $acts,
        private readonly PassOn $passOn,
        private readonly Deputies $deputies,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clinic/people/{staff}/hand-over', name: 'office_hand_over', methods: ['POST'])]
    public function forGood(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $to = $request->request->getString('to');
        $problem = $this->passOn->problem($person, $to);
        if (null !== $problem) {
            return $this->acts->refused($person, ['to' => $problem], $request);
        }
        $this->addFlash('done', \sprintf('%d clients are handed over.', $this->passOn->all($person, $to)));

        return $this->acts->back($person);
    }

    #[Route('/clinic/people/{staff}/deputy', name: 'office_deputy', methods: ['POST'])]
    public function forLeave(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $deputy = $request->request->getString('deputy');
        $from = Dates::day($request->request->getString('from'));
        $until = Dates::day($request->request->getString('until'));
        $problems = Problems::said([
            'deputy' => $this->passOn->problem($person, $deputy),
            'from' => null === $from ? 'A day is needed, such as 2026-12-01.' : null,
            'until' => $this->endProblem($from, $until),
        ]);
        if ([] !== $problems || null === $from || null === $until) {
            return $this->acts->refused($person, $problems, $request);
        }
        $this->deputies->add(new Deputy(
            $person->clinicId,
            $person->id,
            $deputy,
            $from,
            untilDay: $until,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        ));
        $this->audit->wrote('named a deputy', null, $person->id);
        $this->addFlash(
            'done',
            'The deputy has these clients on their list on those days, and gets what alerts.',
        );

        return $this->acts->back($person);
    }

    #[Route('/clinic/people/{staff}/deputy/{deputy}/end', name: 'office_deputy_end', methods: ['POST'])]
    public function endLeave(string $staff, string $deputy): Response
    {
        $person = $this->acts->find($staff);
        $found = $this->deputies->find($person->clinicId, $deputy);
        if (null === $found || $found->forStaffId !== $person->id) {
            throw $this->createNotFoundException('No such deputy.');
        }
        $this->deputies->end($found);
        $this->audit->wrote('ended a deputy', null, $person->id);
        $this->addFlash('done', 'Ended.');

        return $this->acts->back($person);
    }

    private function endProblem(?\DateTimeImmutable $from, ?\DateTimeImmutable $until): ?string
    {
        return match (true) {
            null === $until => 'A day is needed, such as 2026-12-11.',
            $until < $this->clock->now()->modify('-1 day') => 'This day is over.',
            null !== $from && $until < $from => 'It ends before it begins.',
            null !== $from && $from->diff(
                $until,
            )->days > self::MOST_DAYS => 'For so long, hand them over for good.',
            default => null,
        };
    }
}
