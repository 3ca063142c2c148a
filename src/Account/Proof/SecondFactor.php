<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

use Doctrine\DBAL\Connection;
use HandGarden\Account\Audit;
use HandGarden\Account\Staff;
use HandGarden\Core\Actor\Actor;
use HandGarden\Web\Clock;

/** The second thing by which somebody is known: a code of their device or, once each, one on paper. */
final readonly class SecondFactor
{
    public function __construct(
        private Sealed $sealed,
        private Connection $connection,
        private Clock $clock,
        private Audit $audit,
    ) {
    }

    /** Takes a code, once: two browsers with the same code at the same time are one and nobody. */
    public function takes(Staff $staff, #[\SensitiveParameter] string $typed): bool
    {
        return $this->takesCode($staff, $typed) || $this->takesRecoveryCode($staff, $typed);
    }

    /** Whether the code belongs to a secret that is only being set up. */
    public function fits(#[\SensitiveParameter] string $secret, #[\SensitiveParameter] string $typed): ?int
    {
        return Totp::matching($secret, $typed, $this->clock->now(), 0);
    }

    private function takesCode(Staff $staff, string $typed): bool
    {
        $secret = null === $staff->secondFactor ? null : $this->sealed->open($staff->secondFactor);
        $step = null === $secret
            ? null
            : Totp::matching($secret, $typed, $this->clock->now(), $staff->secondFactorStep);

        return null !== $step && 1 === $this->connection->executeStatement(
            'UPDATE staff SET second_factor_step = :step WHERE id = :id AND second_factor_step < :step',
            ['step' => $step, 'id' => $staff->id],
        );
    }

    private function takesRecoveryCode(Staff $staff, string $typed): bool
    {
        $isTaken = 1 === $this->connection->executeStatement(
            'UPDATE staff SET recovery_codes = recovery_codes - :hash
                WHERE id = :id AND jsonb_exists(recovery_codes, :hash)',
            ['hash' => RecoveryCodes::hash($typed), 'id' => $staff->id],
        );
        if ($isTaken) {
            $this->audit->by($staff->clinicId, Actor::staff($staff->id), 'used a recovery code', $staff->id);
        }

        return $isTaken;
    }
}
