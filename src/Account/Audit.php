<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\DBAL\Connection;
use HandGarden\Core\Actor\Actor;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Who read or changed what, and when. A change is written with what it tells of, in one commit. What was read is
 * written after the answer has gone out, and only when it was shown; the same page again within minutes is one line.
 */
final class Audit implements ResetInterface
{
    private const SAME_READ_SECONDS = 600;

    /** @var list<array<string, string|null>> */
    private array $reads = [];

    /** @var list<array<string, string|null>> */
    private array $refusals = [];

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
        $this->by($clinicId, Actor::system(), $action, $subjectId);
    }

    /** What somebody did who is not signed in, or not yet. */
    public function by(string $clinicId, Actor $actor, string $action, string $subjectId): void
    {
        $this->connection->insert(
            'audit_line',
            self::row($clinicId, $actor, $action, null, subjectId: $subjectId),
        );
    }

    /** @param ?string $clientId null: a list, or something that is of no one client */
    public function read(string $what, ?string $clientId): void
    {
        $this->reads[] = $this->line('read '.$what, $clientId, '');
    }

    /** Somebody asked for what they may not see, or what is not of their clinic. */
    public function refused(string $what): void
    {
        $this->refusals[] = $this->line(mb_substr('refused: '.$what, 0, 60), null, '');
    }

    #[AsEventListener(KernelEvents::TERMINATE)]
    public function keepReads(TerminateEvent $event): void
    {
        $isShown = $event->getResponse()->getStatusCode() < Response::HTTP_BAD_REQUEST;
        $lines = [...$isShown ? $this->reads : [], ...$this->refusals];
        $this->reset();
        if ([] === $lines) {
            return;
        }
        $columns = implode(', ', array_keys($lines[0]));
        $this->connection->executeStatement(
            "INSERT INTO audit_line ($columns)
                SELECT $columns FROM jsonb_populate_recordset(NULL::audit_line, ?) AS new WHERE NOT EXISTS (
                    SELECT 1 FROM audit_line AS old WHERE old.clinic_id = new.clinic_id
                        AND old.client_id IS NOT DISTINCT FROM new.client_id AND old.at > ?
                        AND (old.actor_kind, old.actor_id, old.action)
                            = (new.actor_kind, new.actor_id, new.action))",
            [
                json_encode($lines, \JSON_THROW_ON_ERROR),
                gmdate('Y-m-d H:i:sP', time() - self::SAME_READ_SECONDS),
            ],
        );
    }

    public function reset(): void
    {
        $this->reads = $this->refusals = [];
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
