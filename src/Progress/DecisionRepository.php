<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\StepTaken;

final readonly class DecisionRepository
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    /** @return list<Decision> newest first */
    public function for(Client $client): array
    {
        return $this->entities->getRepository(Decision::class)->findBy(
            ['clientId' => $client->id, 'clinicId' => $client->clinicId],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
    }

    /** @return list<string> keys of answered proposals, all or those since a time */
    public function keys(Client $client, ?\DateTimeImmutable $since = null): array
    {
        return array_map(
            static fn (Decision $d): string => $d->proposalKey,
            array_values(array_filter(
                $this->for($client),
                static fn (Decision $d): bool => null === $since || $d->at >= $since,
            )),
        );
    }

    /** @return list<StepTaken> accepted since a day */
    public function stepsTaken(Client $client, \DateTimeImmutable $since): array
    {
        $steps = [];
        foreach ($this->for($client) as $decision) {
            $kind = ProposalKind::tryFrom($decision->kind);
            [, $rungId, $hands] = explode('|', $decision->proposalKey) + ['', '', ''];
            if (
                true === $kind?->isMore()
                && DecisionAnswer::Declined !== $decision->answer
                && $decision->at >= $since
                && '' !== $rungId
            ) {
                $steps[] = new StepTaken($rungId.'|'.$hands, $decision->at);
            }
        }

        return $steps;
    }

    public function keep(Decision $decision): void
    {
        $this->entities->persist($decision);
        $this->entities->flush();
    }
}
