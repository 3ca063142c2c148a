<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use Doctrine\DBAL\Connection;
use Doctrine\Persistence\ManagerRegistry;
use HandGarden\Account\ClinicScope;
use HandGarden\Client\ClientRepository;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\Service\ResetInterface;

/** Works out stale rows, one client a transaction; what fails for one stops nobody else. */
final readonly class Renewal
{
    private const BATCH = 25;

    public function __construct(
        private Caseload $caseload,
        private Summaries $summaries,
        private ClientRepository $clients,
        private ClinicScope $scope,
        private ManagerRegistry $doctrine,
        private LoggerInterface $logger,
        #[Autowire(service: 'services_resetter')]
        private ResetInterface $services,
    ) {
    }

    /**
     * @param ?list<string>               $among client ids; null: whoever is stale
     * @param ?callable(): void $after  each client that was tried
     *
     * @return int how many rows are new
     */
    public function renew(int $most, ?array $among = null, ?callable $after = null): int
    {
        $renewed = 0;
        $tried = [];
        while (\count($tried) < $most) {
            $connection = $this->doctrine->getConnection();
            \assert($connection instanceof Connection);
            $connection->beginTransaction();
            $claimed = $this->caseload->claim($tried, $among);
            if (null === $claimed) {
                $connection->commit();
                break;
            }
            $tried[] = $claimed['clientId'];
            try {
                $this->workOut($claimed['clinicId'], $claimed['clientId']);
                $connection->commit();
                ++$renewed;
            } catch (\Throwable $e) {
                $connection->rollBack();
                $this->caseload->failed($claimed['clientId'], $e->getMessage());
                $this->logger->error('A caseload row could not be worked out: '.$e->getMessage(), [
                    'client' => $claimed['clientId'],
                    'exception' => $e,
                ]);
            }
            if (null !== $after) {
                $after();
            }
        }
        $this->scope->reset();

        return $renewed;
    }

    /**
     * For commands: everybody who is stale, in batches, after each of which what was remembered is forgotten.
     *
     * @param ?callable(): void $after each client that was tried
     *
     * @return int how many rows are new
     */
    public function renewAll(?callable $after = null): int
    {
        $renewed = 0;
        do {
            $tried = 0;
            $renewed += $this->renew(self::BATCH, after: static function () use (&$tried, $after): void {
                ++$tried;
                if (null !== $after) {
                    $after();
                }
            });
            $this->doctrine->getManager()->clear();
            $this->services->reset();
        } while (self::BATCH === $tried);

        return $renewed;
    }

    private function workOut(string $clinicId, string $clientId): void
    {
        $this->scope->workFor($clinicId);
        $client = $this->clients->find($clinicId, $clientId)
            ?? throw new \LogicException('A row stands for a client.');
        $this->caseload->keep($client, $this->summaries->for($client));
    }
}
