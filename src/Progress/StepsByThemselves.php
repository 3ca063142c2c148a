<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\GivenDose;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Prescribing;
use HandGarden\Web\Clock;

/**
 * Takes steps up inside the range of an exercise for a client whose therapist has allowed it; each leaves a decision
 * like any other, by the program. A change of exercise, and whatever is less, always waits for a person.
 */
final readonly class StepsByThemselves
{
    public function __construct(
        private DecisionRepository $decisions,
        private PlanRepository $plans,
        private GivenDose $given,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /**
     * @param list<Proposal> $open as the rules ask for them now
     *
     * @return list<Proposal> what still waits
     */
    public function take(Client $client, array $open): array
    {
        $allowedById = $client->stepsAllowedById;
        if (null === $allowedById) {
            return $open;
        }
        $waits = [];
        foreach ($open as $proposal) {
            if (
                ProposalKind::Advance === $proposal->kind
                && null !== $proposal->to
                && null !== $proposal->rungId
            ) {
                $this->step($client, $proposal, $allowedById);
            } else {
                $waits[] = $proposal;
            }
        }

        return $waits;
    }

    private function step(Client $client, Proposal $proposal, string $allowedById): void
    {
        \assert(null !== $proposal->to && null !== $proposal->rungId);
        $now = $this->clock->now();
        $this->decisions->keep(Decision::on(
            $client,
            $proposal,
            DecisionAnswer::Accepted,
            '',
            by: Actor::system(),
            at: $now,
        ));
        $this->plans->prescribe(
            $client,
            (string) $proposal->itemKey(),
            $this->given->shortened(
                $client,
                $this->catalogue->get()->rung($proposal->rungId),
                $proposal->to,
            ),
            DoseSource::Decision,
            by: new Prescribing(
                $allowedById,
                $now,
                $proposal->key(),
            ),
        );
    }
}
