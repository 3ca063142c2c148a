<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\StaffRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One person of the clinic, with everything a lead can do about their account. */
#[Route('/clinic/people/{staff}', name: 'office_person', methods: ['GET'], priority: -1)]
#[IsGranted('ROLE_LEAD')]
final class ShowPerson extends AbstractController
{
    public function __invoke(string $staff, StaffRepository $people, PersonPage $page): Response
    {
        return $page->show($people->find($staff) ?? throw $this->createNotFoundException());
    }
}
