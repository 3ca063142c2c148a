<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\Audit;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\GroupWork\ClassDoor;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who sits in a class, what is led in it, and who is there for it. */
#[Route('/classes/{class}', name: 'class_change', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class ChangeClass extends AbstractController
{
    private const MINUTES = [10, 60];

    public function __construct(
        private readonly Classes $classes,
        private readonly Members $members,
        private readonly ClassIdeas $ideas,
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, string $class): Response
    {
        $found = $this->classes->get($class);
        $value = (string) $request->request->get('value', '');
        $do = (string) $request->request->get('do', '');
        $problem = match ($do) {
            'place' => $this->takeIn($found, $value),
            'gone' => $this->letGo($found, $value),
            'add' => $this->add($found, $value),
            'out', 'up' => $this->move($found, (int) $value, $do),
            'suggest' => $this->suggest($found, $request->request->getInt('minutes')),
            'staff' => $this->setStaff($found, $request->request->getInt('staff')),
            'end' => $this->end($found),
            default => 'Choose what is to be changed; nothing was.',
        };
        if ('' === $problem) {
            $this->classes->keep($found);
            $this->audit->wrote('changed a class', null, $found->id);
        } else {
            $this->addFlash('problem', $problem);
        }

        return null === $found->endedAt
            ? $this->redirectToRoute('class_all_one', ['class' => $found->id], Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute('class_all', [], Response::HTTP_SEE_OTHER);
    }

    private function takeIn(HandClass $class, string $clientId): string
    {
        $client = $this->clients->find($class->clinicId, $clientId);
        if (null === $client) {
            return 'Choose who takes part.';
        }
        if ($class->isFull()) {
            return \sprintf('A class has at most %d places.', HandClass::MOST_PLACES);
        }
        if (Members::NOT_AGREED === $this->members->hindrance($client)) {
            return \sprintf(
                '%s has not agreed to group work. Ask, and note it under Home.',
                $client->givenName,
            );
        }
        $class->takeIn($client);

        return '';
    }

    private function letGo(HandClass $class, string $clientId): string
    {
        $class->letGo($clientId);

        return '';
    }

    private function add(HandClass $class, string $rungId): string
    {
        $rung = $this->catalogue->rung($rungId);
        $problem = match (true) {
            null === $rung => 'Choose an exercise.',
            !ClassDoor::isForClasses(
                $rung,
            ) => 'This one is not for a class: it asks for hands, or for one hand alone.',
            \in_array($rungId, $class->rungs, true) => 'It is in this class already.',
            \count($class->rungs) >= HandClass::MOST_EXERCISES => \sprintf(
                'A class has at most %d exercises.',
                HandClass::MOST_EXERCISES,
            ),
            default => '',
        };
        if ('' === $problem) {
            $class->rungs[] = $rungId;
        }

        return $problem;
    }

    private function move(HandClass $class, int $at, string $how): string
    {
        if (!isset($class->rungs[$at])) {
            return 'It is not in this class.';
        }
        $moved = array_splice($class->rungs, $at, 1);
        if ('up' === $how) {
            array_splice($class->rungs, max(0, $at - 1), 0, $moved);
        }

        return '';
    }

    private function suggest(HandClass $class, int $minutes): string
    {
        [$least, $most] = self::MINUTES;
        if ($minutes < $least || $minutes > $most) {
            return \sprintf('A class lasts %d to %d minutes.', $least, $most);
        }
        $here = Members::able($this->members->of($class));
        if ([] === $here) {
            return 'First say who takes part.';
        }
        $class->rungs = \array_slice($this->ideas->suggest($here, $minutes), 0, HandClass::MOST_EXERCISES);

        return '';
    }

    private function setStaff(HandClass $class, int $staff): string
    {
        if ($staff < 1 || $staff > HandClass::MOST_STAFF) {
            return \sprintf('Between 1 and %d of the staff are there.', HandClass::MOST_STAFF);
        }
        $class->staff = $staff;

        return '';
    }

    private function end(HandClass $class): string
    {
        if (null !== $this->classes->running($class)) {
            return 'It is being led now. End that first.';
        }
        $class->endedAt = $this->clock->now();

        return '';
    }
}
