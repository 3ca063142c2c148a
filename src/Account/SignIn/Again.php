<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Proof\PasswordCheck;
use HandGarden\Account\Proof\SecondFactor;
use HandGarden\Account\Staff;
use Symfony\Component\HttpFoundation\Request;

/** Somebody who is signed in proves once more who they are: after a while without them, or before a dangerous act. */
final readonly class Again
{
    public const PASSWORD = '_again';
    public const CODE = '_again_code';
    public const FIELDS = [self::PASSWORD, self::CODE];

    public function __construct(
        private PasswordCheck $passwords,
        private SecondFactor $factor,
        private Throttle $throttle,
        private SessionClock $session,
        private Welcome $welcome,
    ) {
    }

    /** Before a dangerous act: what is wrong; null: they proved it a moment ago, or just now. */
    public function demand(Request $request, Staff $staff): ?string
    {
        return $this->session->isProved() ? null : $this->problem($request, $staff, isWhole: false);
    }

    /**
     * What is wrong with what was typed; null: it is the person.
     *
     * @param bool $isWhole everything that signing in asks for; else the password does
     */
    public function problem(Request $request, Staff $staff, bool $isWhole): ?string
    {
        $address = (string) $request->getClientIp();
        $account = 'again '.$staff->id;
        try {
            $this->throttle->take($account, null, $address);
        } catch (TooManyTries $e) {
            return $e->getMessageKey();
        }
        if (!$this->passwords->isRight($staff, $request->request->getString(self::PASSWORD))) {
            $this->welcome->refused($staff, 'refused: password asked again');

            return 'again.wrong';
        }
        $wantsCode = $isWhole && null !== $staff->secondFactor;
        if ($wantsCode && !$this->factor->takes($staff, $request->request->getString(self::CODE))) {
            $this->welcome->refused($staff, 'refused: code asked again');

            return 'sign-in.wrong-code';
        }
        $this->throttle->giveBack($account, null, $address);
        if ($isWhole) {
            $request->getSession()->migrate(destroy: true); // as after signing in
            $this->session->begin();
        } else {
            $this->session->prove();
        }
        $this->session->touch();

        return null;
    }
}
