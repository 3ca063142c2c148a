<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Staff;
use HandGarden\Web\Clock;

/** One-time codes: made for a colleague, taken once. */
final readonly class AccountCodes
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $connection,
        private Clock $clock,
    ) {
    }

    /**
     * Makes one; an earlier one of the same kind no longer opens anything.
     *
     * @return string as it is handed over: it is kept nowhere
     */
    public function make(Staff $staff, CodeKind $kind, ?string $madeBy): string
    {
        $now = $this->clock->now();
        $this->takeBack($staff, $kind);
        $code = Base32::encode(random_bytes($kind->bytes()));
        $this->entities->persist(new AccountCode(
            $staff->clinicId,
            $staff->id,
            $kind,
            RecoveryCodes::hash($code),
            madeBy: $madeBy,
            madeAt: $now,
            endsAt: $now->modify($kind->lasts()),
        ));
        $this->entities->flush();

        return CodeKind::Reset === $kind ? implode('-', str_split($code, 4)) : $code;
    }

    /** Whom a code that still counts was made for. */
    public function whose(#[\SensitiveParameter] string $typed, CodeKind $kind): ?Staff
    {
        $code = $this->entities->getRepository(AccountCode::class)->findOneBy(
            ['hash' => RecoveryCodes::hash($typed), 'kind' => $kind, 'usedAt' => null],
        );

        return null === $code || $code->endsAt <= $this->clock->now()
            ? null
            : $this->entities->find(Staff::class, $code->staffId);
    }

    /** Takes it, once; false: somebody else was quicker. */
    public function take(#[\SensitiveParameter] string $typed): bool
    {
        return 1 === $this->connection->executeStatement(
            'UPDATE account_code SET used_at = :now WHERE hash = :hash AND used_at IS NULL AND ends_at > :now',
            ['now' => $this->clock->now()->format(\DATE_RFC3339), 'hash' => RecoveryCodes::hash($typed)],
        );
    }

    public function takeBack(Staff $staff, ?CodeKind $kind = null): void
    {
        $kinds = null === $kind ? CodeKind::cases() : [$kind];
        $this->connection->executeStatement(
            'UPDATE account_code SET used_at = :now WHERE staff_id = :staff AND used_at IS NULL AND kind IN (:kinds)',
            [
                'now' => $this->clock->now()->format(\DATE_RFC3339),
                'staff' => $staff->id,
                'kinds' => array_column($kinds, 'value'),
            ],
            ['kinds' => ArrayParameterType::STRING],
        );
    }
}
