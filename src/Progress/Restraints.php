<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/** What holds clients down, kept from the day on which the log first asked for it. */
final readonly class Restraints
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $connection,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @return list<Proposal> that hold, oldest first */
    public function open(Client $client): array
    {
        $catalogue = $this->catalogue->get();

        return array_values(array_filter(array_map(
            static fn (Restraint $r): ?Proposal => ProposalFormat::read($r->proposal(), $catalogue),
            $this->entities->getRepository(Restraint::class)->findBy(
                ['clinicId' => $client->clinicId, 'clientId' => $client->id, 'endedAt' => null],
                ['since' => 'ASC', 'id' => 'ASC'],
            ),
        )));
    }

    /**
     * Written past the records that tell of a client: it follows from the log and changes nothing that is shown.
     *
     * @param list<Proposal> $open
     */
    public function keep(Client $client, array $open): void
    {
        foreach ($open as $proposal) {
            if (!$proposal->holdsDown()) {
                continue;
            }
            $this->connection->executeStatement(
                'INSERT INTO restraint (id, clinic_id, client_id, proposal_key, proposal, since)
                    VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
                [
                    Uuid::v7()->toRfc4122(),
                    $client->clinicId,
                    $client->id,
                    $proposal->key(),
                    json_encode(ProposalFormat::write($proposal), \JSON_THROW_ON_ERROR),
                    $this->clock->now()->format(\DATE_RFC3339),
                ],
            );
        }
    }

    /** Confirmed or lifted by the answer to its proposal. */
    public function end(Client $client, string $proposalKey): void
    {
        $held = $this->entities->getRepository(Restraint::class)->findOneBy(
            ['clinicId' => $client->clinicId, 'clientId' => $client->id, 'proposalKey' => $proposalKey],
        );
        if (null !== $held) {
            $held->endedAt ??= $this->clock->now();
            $this->entities->flush();
        }
    }
}
