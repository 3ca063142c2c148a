<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffRepository;
use HandGarden\Account\Who;
use HandGarden\Client\Deputies;
use HandGarden\Client\Deputy;
use HandGarden\Client\HandOver;
use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** The page of a person; every act on it that is refused comes back to it with what was typed. */
final readonly class PersonPage
{
    public function __construct(
        private Environment $twig,
        private ClinicRepository $clinics,
        private StaffRepository $people,
        private HandOver $handOver,
        private Deputies $deputies,
        private Who $who,
    ) {
    }

    /**
     * @param array<string, string> $problems by field
     * @param array<string, mixed>  $typed    by field
     */
    public function show(Staff $staff, array $problems = [], array $typed = []): Response
    {
        $clinic = $this->clinics->own();

        return new Response(
            $this->twig->render('Office/person.html.twig', [
                'person' => $staff,
                'clinic' => $clinic,
                'roles' => Role::cases(),
                'isOneself' => $staff->id === $this->who->staff()->id,
                'isLastLead' => $this->people->isLastLead($staff),
                'clients' => $this->handOver->counts($clinic->id)[$staff->id] ?? 0,
                'others' => $this->people->whoCouldTakeFrom($staff),
                'names' => $this->clinics->namesOfStaff(),
                'deputies' => array_filter(
                    $this->deputies->ahead($clinic->id, $clinic->zone),
                    static fn (Deputy $d): bool => $d->forStaffId === $staff->id,
                ),
                'problems' => $problems,
                'typed' => $typed,
            ]),
            [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
        );
    }
}
