<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Notices;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffRepository;
use HandGarden\Account\Who;
use HandGarden\Client\HandOver;
use HandGarden\Core\Data\Dates;
use HandGarden\Web\Clock;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Name, role and the mark "trained in hands-on release" of a person. A new role or mark ends their sessions. */
#[Route('/clinic/people/{staff}/change', name: 'office_change', methods: ['POST'])]
#[IsGranted('ROLE_LEAD')]
final class ChangePerson extends AbstractController
{
    public function __construct(
        private readonly PersonActs $acts,
        private readonly StaffRepository $people,
        private readonly HandOver $handOver,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Notices $notices,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, string $staff): Response
    {
        $person = $this->acts->find($staff);
        $name = trim($request->request->getString('name'));
        $role = Role::tryFrom($request->request->getString('role')) ?? $person->role;
        $trained = $request->request->getString('trained');
        $day = '' === $trained ? null : Dates::day($trained);
        $problems = Problems::said([
            'name' => '' === $name || mb_strlen(
                $name,
            ) > 120 ? 'A name of at most 120 characters is needed.' : null,
            'role' => $this->roleProblem($person, $role),
            'trained' => $this->markProblem($role, $trained, $day),
        ]) + $this->acts->unproved($request);
        if ([] !== $problems) {
            return $this->acts->refused($person, $problems, $request);
        }
        $changes = $this->changes($person, $name, $role, $day);
        $person->name = $name;
        $person->role = $role;
        $person->releaseTrainedOn = $day;
        $this->people->keep();
        foreach ($changes as $change) {
            $this->audit->wrote($change, null, $person->id);
        }
        if ([] !== $changes && !$this->acts->isOneself($person)) {
            $this->notices->send($person, 'changed', [
                'by' => $this->who->staff()->name,
                'what' => implode(', ', $changes),
            ]);
        }
        $this->addFlash('done', 'Kept.');

        return $this->acts->back($person);
    }

    private function roleProblem(Staff $person, Role $role): ?string
    {
        $has = $this->handOver->counts($person->clinicId)[$person->id] ?? 0;

        return match (true) {
            $role === $person->role => null,
            $this->people->isLastLead(
                $person,
            ) => 'The clinic would be without a lead. Make somebody else one first.',
            Role::Assistant === $role && $has > 0 => 'An assistant has no clients of their own: hand them over first.',
            default => null,
        };
    }

    private function markProblem(Role $role, string $typed, ?\DateTimeImmutable $day): ?string
    {
        return match (true) {
            '' === $typed => null,
            Role::Assistant === $role => 'Hands-on release is for therapists.',
            null === $day => 'A day is needed, such as 2026-11-02.',
            $day > $this->clock->now() => 'This day is still to come.',
            default => null,
        };
    }

    /** @return list<string> as the trail names them */
    private function changes(Staff $person, string $name, Role $role, ?\DateTimeImmutable $day): array
    {
        $before = $person->releaseTrainedOn?->format('Y-m-d');
        $now = $day?->format('Y-m-d');

        return array_values(array_filter([
            $name === $person->name ? null : 'renamed',
            $role === $person->role ? null : 'set role: '.$role->value,
            match (true) {
                $before === $now => null,
                null === $now => 'took back the mark of hands-on release',
                default => 'marked as trained in hands-on release',
            },
        ]));
    }
}
