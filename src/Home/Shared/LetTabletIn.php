<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Who;
use HandGarden\Core\Home\LetInCode;
use HandGarden\Home\HomeAddress;
use HandGarden\Home\HomeDevices;
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
    private const LABEL_LETTERS = 60;

    public function __construct(
        private readonly CareHomes $homes,
        private readonly HomeDevices $devices,
        private readonly TabletsOut $out,
        private readonly HomeAddress $address,
        private readonly ClinicRepository $clinics,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['POST'])]
    public function begin(Request $request, string $home): Response
    {
        $found = $this->home($home);
        $label = mb_substr(trim((string) $request->request->get('label', '')), 0, self::LABEL_LETTERS);
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
        $now = $this->clock->now();
        $before = $this->devices->pairingOfCareHome($found->id, $now);
        if (null !== $before) {
            $before->endedAt = $now; // one at a time
        }
        $code = LetInCode::made(random_int(...));
        $pairing = new Pairing(
            $found->clinicId,
            null,
            null,
            $label,
            codeHash: Pairing::hash($code),
            madeById: $this->who->staff()->id,
            madeAt: $now,
            careHomeId: $found->id,
        );
        $this->devices->keep($pairing);
        $this->audit->wrote('made let-in code', null, $pairing->id);
        $this->addFlash(ShowHome::CODE, $code->words());

        return $this->back($found);
    }

    #[Route('/state', name: '_state', methods: ['GET'])]
    public function state(string $home): JsonResponse
    {
        $pairing = $this->devices->pairingOfCareHome($this->home($home)->id, $this->clock->now());

        return new JsonResponse(['open' => null !== $pairing, 'pictures' => $pairing?->pictures() ?? []]);
    }

    #[Route('/confirm', name: '_confirm', methods: ['POST'])]
    public function confirm(Request $request, string $home): Response
    {
        $found = $this->home($home);
        $now = $this->clock->now();
        $pairing = $this->devices->pairingOfCareHome($found->id, $now);
        if (null === $pairing || null === $pairing->keyHash) {
            $this->addFlash('problem', 'This code is over. Make a new one.');
        } elseif ('same' === $request->request->get('pictures')) {
            $pairing->confirmedAt = $now;
            $this->audit->wrote('confirmed device', null, $pairing->id);
            $this->addFlash('done', 'The tablet opens the list now.');
        } else {
            $pairing->endedAt = $now;
            $this->audit->wrote('refused device', null, $pairing->id);
            $this->addFlash(
                'problem',
                'Nobody was let in. Make a new code and type it into the right tablet.',
            );
        }
        $this->devices->keep();

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
