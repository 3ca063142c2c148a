<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Home\HomeAddress;
use HandGarden\Home\HomeDevices;
use HandGarden\Home\Letting;
use HandGarden\Home\Pairing;
use HandGarden\Home\ShowHome;
use HandGarden\Home\TakenOutWhy;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A tablet of a care home comes in like any device: a code that goes once, pictures on both screens, a therapist. */
#[Route('/clinic/care-homes/{home}/tablets', name: 'home_care_homes_tablet')]
#[IsGranted('ROLE_THERAPIST')]
final class LetTabletIn extends AbstractController
{
    public function __construct(
        private readonly CareHomes $homes,
        private readonly HomeDevices $devices,
        private readonly TabletsOut $out,
        private readonly HomeAddress $address,
        private readonly ClinicRepository $clinics,
        private readonly Letting $letting,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['POST'])]
    public function begin(Request $request, string $home): Response
    {
        $found = $this->home($home);
        $label = mb_substr(trim((string) $request->request->get('label', '')), 0, Pairing::LABEL_LETTERS);
        $in = array_filter($this->homes->tablets($found), static fn (SharedTablet $t): bool => $t->isIn());
        $problem = match (true) {
            null !== $this->address->hindrance(
                $request,
                $this->clinics->own(),
            ) => 'Devices cannot be let in here yet.',
            '' === $label => 'Say which tablet it is, such as “first floor”.',
            \count($in) >= CareHome::MOST_TABLETS => \sprintf(
                'There are %d tablets already. Take one out first.',
                CareHome::MOST_TABLETS,
            ),
            default => '',
        };
        if ('' !== $problem) {
            $this->addFlash('problem', $problem);

            return $this->back($found);
        }
        $this->addFlash(ShowHome::CODE, $this->letting->begin(
            $this->pairing($found),
            static fn (string $codeHash, string $byId, \DateTimeImmutable $now): Pairing => new Pairing(
                $found->clinicId,
                null,
                null,
                $label,
                codeHash: $codeHash,
                madeById: $byId,
                madeAt: $now,
                careHomeId: $found->id,
            ),
        ));

        return $this->back($found);
    }

    #[Route('/state', name: '_state', methods: ['GET'])]
    public function state(string $home): JsonResponse
    {
        return new JsonResponse(Letting::state($this->pairing($this->home($home))));
    }

    #[Route('/confirm', name: '_confirm', methods: ['POST'])]
    public function confirm(Request $request, string $home): Response
    {
        $found = $this->home($home);
        $isIn = $this->letting->confirm(
            $this->pairing($found),
            'same' === $request->request->get('pictures'),
        );
        $this->addFlash(true === $isIn ? 'done' : 'problem', match ($isIn) {
            true => 'The tablet opens the list now.',
            false => 'Nobody was let in. Make a new code and type it into the right tablet.',
            null => 'This code is over. Make a new one.',
        });

        return $this->back($found);
    }

    #[Route('/{tablet}/out', name: '_out', methods: ['POST'])]
    public function out(Request $request, string $home, string $tablet): Response
    {
        $found = $this->home($home);
        $why = TakenOutWhy::tryFrom((string) $request->request->get('why', ''));
        foreach ($this->homes->tablets($found) as $one) {
            if ($one->id === $tablet && $one->isIn() && null !== $why) {
                $this->out->tablet($one, $why);
                $this->audit->wrote('took device out', null, $one->id);
                $this->addFlash('done', 'The tablet opens nothing more.');
            }
        }

        return $this->back($found);
    }

    private function pairing(CareHome $home): ?Pairing
    {
        return $this->devices->pairingOfCareHome($home->id, $this->clock->now());
    }

    private function home(string $id): CareHome
    {
        return $this->homes->find($this->clinics->own()->id, $id)
            ?? throw $this->createNotFoundException('No such care home.');
    }

    private function back(CareHome $home): Response
    {
        return $this->redirectToRoute(
            'home_care_homes_one',
            ['home' => $home->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
