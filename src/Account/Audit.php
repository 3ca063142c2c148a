<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\Connection;
use HandGarden\Core\Actor\Actor;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Uid\Uuid;

/** Who read or changed what, and when. Changes are written at once, reads after the answer has gone out. */
final class Audit
{
    /** @var list<array<string, string|null>> */
    private array $reads = [];

    public function __construct(
        private readonly Connection $connection,
        private readonly Who $who,
    ) {
    }

    public function wrote(string $action, ?string $clientId, string $subjectId = ''): void
    {
        $this->connection->insert(
            'audit_line',
            $this->line($action, $clientId, $subjectId),
        );
    }

    /**
     * The same of several subjects of one client.
     *
     * @param list<string> $subjectIds
     */
    public function wroteEach(string $action, string $clientId, array $subjectIds): void
    {
        if ([] === $subjectIds) {
            return;
        }
        $lines = array_map(
            fn (string $id): array => $this->line($action, $clientId, $id),
            $subjectIds,
        );
        $columns = implode(', ', array_keys($lines[0]));
        $this->connection->executeStatement(
            "INSERT INTO audit_line ($columns)
                SELECT $columns FROM jsonb_populate_recordset(NULL::audit_line, ?)",
            [json_encode($lines, \JSON_THROW_ON_ERROR)],
        );
    }

    /** What the program itself did, or somebody at its command line. */
    public function noted(string $clinicId, string $action, string $subjectId): void
    {
        $this->connection->insert('audit_line', self::row(
            $clinicId,
            Actor::system(),
            $action,
            null,
            subjectId: $subjectId,
        ));
    }

    public function read(string $what, string $clientId): void
    {
        $this->reads[] = $this->line('read '.$what, $clientId, '');
    }

    #[AsEventListener(KernelEvents::TERMINATE)]
    public function keepReads(TerminateEvent $event): void
    {
        $reads = $this->reads;
        $this->reads = [];
        foreach ($reads as $line) {
            $this->connection->insert('audit_line', $line);
        }
    }

    /** @return array<string, string|null> */
    private function line(string $action, ?string $clientId, string $subjectId): array
    {
        return self::row(
            $this->who->clinicId(),
            $this->who->actor(),
            $action,
            $clientId,
            subjectId: $subjectId,
        );
    }

    /** @return array<string, string|null> */
    private static function row(
        string $clinicId,
        Actor $actor,
        string $action,
        ?string $clientId,
        string $subjectId,
    ): array {
        return [
            'id' => Uuid::v7()->toRfc4122(),
            'clinic_id' => $clinicId,
            'actor_kind' => $actor->kind->value,
            'actor_id' => $actor->id,
            'action' => $action,
            'client_id' => $clientId,
            'subject_id' => $subjectId,
            'at' => gmdate('Y-m-d H:i:sP'),
        ];
    }
}
