<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Clinic;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\OpeningHours;
use HandGarden\Account\SignIn\Again;
use HandGarden\Account\Who;
use HandGarden\Account\WhomToCall;
use HandGarden\Caseload\Caseload;
use HandGarden\Web\Problems;
use HandGarden\Web\Seen;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** What the clinic says of itself: its name, whom to call and when, what it demands of its leads. */
#[Route('/clinic', name: 'office_clinic', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_LEAD')]
final class SetClinic extends AbstractController
{
    public function __construct(
        private readonly ClinicRepository $clinics,
        private readonly ValidatorInterface $validator,
        private readonly Again $again,
        private readonly Caseload $caseload,
        private readonly Audit $audit,
        private readonly WhomToCall $whom,
        private readonly Who $who,
    ) {
    }

    public function __invoke(Request $request): Response
    {
        $isSent = $request->isMethod('POST');
        $clinic = $isSent ? $this->clinics->ownToChange() : $this->clinics->own();
        $seen = self::markOf($clinic);
        $isStale = $isSent && Seen::isStale($request, $seen);
        $input = $isSent ? ClinicInput::from($request) : ClinicInput::of($clinic);
        $problems = $isSent ? $this->problems($request, $input) : [];
        if ($isSent && [] === $problems && !$isStale) {
            $input->applyTo($clinic);
            $this->clinics->keep();
            $this->caseload->markAll($clinic->id);
            $this->audit->wrote('changed the clinic', null, $clinic->id);
            $this->addFlash('done', 'Kept.');

            return $this->redirectToRoute('office_clinic', [], Response::HTTP_SEE_OTHER);
        }

        return $this->render('Office/clinic.html.twig', [
            'input' => $input,
            'problems' => $problems,
            'weekdays' => OpeningHours::WEEKDAYS,
            'zones' => \DateTimeZone::listIdentifiers(),
            'says' => $this->whom->of($clinic),
            'seen' => $seen,
            'isStale' => $isStale,
        ], new Response(status: match (true) {
            $isStale => Response::HTTP_CONFLICT,
            [] !== $problems => Response::HTTP_UNPROCESSABLE_ENTITY,
            default => Response::HTTP_OK,
        }));
    }

    /** @return array<string, string> by field */
    private function problems(Request $request, ClinicInput $input): array
    {
        return Problems::byField($this->validator->validate($input))
            + Problems::said([Again::PASSWORD => $this->again->demand($request, $this->who->staff())]);
    }

    private static function markOf(Clinic $clinic): string
    {
        return Seen::mark(json_encode(ClinicInput::of($clinic), \JSON_THROW_ON_ERROR));
    }
}
