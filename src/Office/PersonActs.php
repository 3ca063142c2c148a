<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\SignIn\Again;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffRepository;
use HandGarden\Account\Who;
use HandGarden\Web\Problems;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** What all acts on a person have in common: they are of this clinic, and the lead proves who they are. */
final readonly class PersonActs
{
    public function __construct(
        private StaffRepository $people,
        private PersonPage $page,
        private Again $again,
        private Who $who,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    public function find(string $id): Staff
    {
        return $this->people->find($id) ?? throw new NotFoundHttpException('No such person.');
    }

    public function isOneself(Staff $staff): bool
    {
        return $staff->id === $this->who->staff()->id;
    }

    /** @return array<string, string> by field, where the password is still to be typed */
    public function unproved(Request $request): array
    {
        return Problems::said([Again::PASSWORD => $this->again->demand($request, $this->who->staff())]);
    }

    /** @param array<string, string> $problems by field */
    public function refused(Staff $staff, array $problems, Request $request): Response
    {
        return $this->page->show($staff, $problems, $request->request->all());
    }

    public function back(Staff $staff): Response
    {
        return new RedirectResponse(
            $this->addresses->generate('office_person', ['staff' => $staff->id]),
            Response::HTTP_SEE_OTHER,
        );
    }
}
