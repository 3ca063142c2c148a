<?php

declare(strict_types=1);

namespace HandGarden\Account\Own;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Audit;
use HandGarden\Account\Clinic;
use HandGarden\Account\Notices;
use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\PasswordCheck;
use HandGarden\Account\Proof\PasswordRules;
use HandGarden\Account\Staff;
use HandGarden\Core\Actor\Actor;
use HandGarden\Web\Clock;
use HandGarden\Web\Problems;
use Symfony\Component\HttpFoundation\Request;

/** Gives somebody the password they chose, however they came to choose it. It ends their sessions. */
final readonly class ChangePassword
{
    public const FIRST = 'new_password';
    public const AGAIN = 'new_password_again';

    public function __construct(
        private PasswordRules $rules,
        private PasswordCheck $passwords,
        private AccountCodes $codes,
        private EntityManagerInterface $entities,
        private Audit $audit,
        private Notices $notices,
        private Clock $clock,
    ) {
    }

    /** @return array<string, string> what is wrong with what was typed, by field, as codes */
    public function problems(Request $request, Staff $staff): array
    {
        $password = $request->request->getString(self::FIRST);
        $clinic = $this->entities->find(Clinic::class, $staff->clinicId);
        $problem = $this->rules->problem($password, [$staff->name, $staff->email, $clinic->name ?? '']);

        return Problems::said([
            self::FIRST => $problem,
            self::AGAIN => $password === $request->request->getString(
                self::AGAIN,
            ) ? null : 'password.differs',
        ]);
    }

    public function change(#[\SensitiveParameter] string $password, Staff $staff): void
    {
        $isFirst = '' === $staff->password;
        $staff->password = $this->passwords->hash($password);
        $staff->passwordAt = $this->clock->now();
        $this->codes->takeBack($staff);
        $this->entities->flush();
        $this->audit->by(
            $staff->clinicId,
            Actor::staff($staff->id),
            $isFirst ? 'chose a password' : 'changed password',
            $staff->id,
        );
        if (!$isFirst) {
            $this->notices->send($staff, 'password');
        }
    }
}
