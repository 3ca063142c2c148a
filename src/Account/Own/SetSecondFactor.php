<?php

declare(strict_types=1);

namespace HandGarden\Account\Own;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Notices;
use HandGarden\Account\Proof\Base32;
use HandGarden\Account\Proof\RecoveryCodes;
use HandGarden\Account\Proof\Sealed;
use HandGarden\Account\Proof\SecondFactor;
use HandGarden\Account\Proof\Totp;
use HandGarden\Account\SignIn\Again;
use HandGarden\Account\Staff;
use HandGarden\Account\StaffRepository;
use HandGarden\Account\Who;
use HandGarden\Web\Problems;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Sets up the second factor, takes it off, makes new recovery codes. */
#[IsGranted('ROLE_STAFF')]
final class SetSecondFactor extends AbstractController
{
    private const NEW = 'garden.new_factor';
    private const ISSUER = 'Hand Garden';

    public function __construct(
        private readonly Who $who,
        private readonly Again $again,
        private readonly SecondFactor $factor,
        private readonly Sealed $sealed,
        private readonly StaffRepository $people,
        private readonly ClinicRepository $clinics,
        private readonly OwnSession $session,
        private readonly Audit $audit,
        private readonly Notices $notices,
    ) {
    }

    #[Route('/me/second-factor', name: 'account_second_factor', methods: ['GET'])]
    public function show(Request $request): Response
    {
        return $this->page($request, []);
    }

    #[Route('/me/second-factor/on', name: 'account_second_factor_on', methods: ['POST'])]
    public function on(Request $request): Response
    {
        $staff = $this->who->staff();
        $secret = $this->newSecret($request);
        $step = $this->factor->fits($secret, $request->request->getString('code'));
        $problems = Problems::said([
            Again::PASSWORD => $this->again->demand($request, $staff),
            'code' => null === $step ? 'sign-in.wrong-code' : null,
        ]);
        if ([] !== $problems || null === $step || null !== $staff->secondFactor) {
            return $this->page($request, $problems);
        }
        $staff->secondFactor = $this->sealed->seal($secret);
        $staff->secondFactorStep = $step;
        $request->getSession()->remove(self::NEW);
        $this->giveCodes($staff, 'set up a second factor', 'second-factor-on');

        return $this->redirectToRoute('account_second_factor', [], Response::HTTP_SEE_OTHER);
    }

    #[Route('/me/second-factor/codes', name: 'account_recovery_codes', methods: ['POST'])]
    public function codes(Request $request): Response
    {
        $staff = $this->who->staff();
        $problem = $this->again->demand($request, $staff);
        if (null !== $problem || null === $staff->secondFactor) {
            return $this->page($request, Problems::said([Again::PASSWORD => $problem]));
        }
        $this->giveCodes($staff, 'made new recovery codes', 'recovery-codes');

        return $this->redirectToRoute('account_second_factor', [], Response::HTTP_SEE_OTHER);
    }

    #[Route('/me/second-factor/off', name: 'account_second_factor_off', methods: ['POST'])]
    public function off(Request $request): Response
    {
        $staff = $this->who->staff();
        $problem = $this->again->demand($request, $staff);
        if (null !== $problem) {
            return $this->page($request, [Again::PASSWORD => $problem]);
        }
        $this->people->takeOffSecondFactor($staff);
        $this->audit->wrote('took off the second factor', null, $staff->id);
        $this->notices->send($staff, 'second-factor-off');
        $this->session->goesOnFor($staff);
        $this->addFlash('done', 'The second factor is taken off.');

        return $this->redirectToRoute('account_second_factor', [], Response::HTTP_SEE_OTHER);
    }

    private function giveCodes(Staff $staff, string $act, string $notice): void
    {
        $codes = RecoveryCodes::make();
        $staff->recoveryCodes = array_map(RecoveryCodes::hash(...), $codes);
        $this->people->keep();
        $this->audit->wrote($act, null, $staff->id);
        $this->notices->send($staff, $notice);
        $this->session->goesOnFor($staff);
        foreach ($codes as $code) {
            $this->addFlash('recovery', $code);
        }
    }

    /** @param array<string, string> $problems by field */
    private function page(Request $request, array $problems): Response
    {
        $staff = $this->who->staff();
        $secret = null === $staff->secondFactor ? $this->newSecret($request) : null;

        return $this->render(
            'Account/second-factor.html.twig',
            [
                'staff' => $staff,
                'problems' => $problems,
                'secret' => null === $secret ? null : implode(' ', str_split(Base32::encode($secret), 4)),
                'address' => null === $secret ? null : Totp::address($secret, $staff->email, self::ISSUER),
                'isDemanded' => $staff->isLead() && $this->clinics->own()->wantsSecondFactorOfLeads,
            ],
            new Response(status: [] === $problems ? 200 : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    /** The same until it is set up, in bytes. */
    private function newSecret(Request $request): string
    {
        $kept = $request->getSession()->get(self::NEW);
        if (!\is_string($kept)) {
            $kept = base64_encode(random_bytes(Totp::SECRET_BYTES));
            $request->getSession()->set(self::NEW, $kept);
        }

        return (string) base64_decode($kept, true);
    }
}
