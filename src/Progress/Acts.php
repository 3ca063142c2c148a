<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Planning\ApprovedRung;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\PlacementOverride;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Prescribing;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** What each kind of proposal does once a therapist has accepted it. */
final readonly class Acts
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private ClientRepository $clients,
        private CatalogueStore $catalogue,
        private Who $who,
        private Clock $clock,
        private Wording $wording,
    ) {
    }

    /** @param ?Dose $dose what was proposed, as screening allows it, or what the therapist made of it */
    public function carryOut(Client $client, Proposal $proposal, ?Dose $dose): void
    {
        $now = $this->clock->now();
        $staffId = $this->who->staff()->id;
        $key = $proposal->itemKey();
        if (null !== $dose && null !== $key) {
            $by = new Prescribing(
                $staffId,
                $now,
                $proposal->key(),
            );
            $this->plans->prescribe(
                $client,
                $key,
                $dose,
                DoseSource::Decision,
                by: $by,
            );
            if ($dose->sets !== $proposal->from?->sets) {
                $this->changeSets($client, $key, $dose->sets);
            }
        }
        match ($proposal->kind) {
            ProposalKind::NextRung => $this->approve(
                $client,
                $proposal,
                $staffId,
                $now,
            ),
            ProposalKind::RungBelow => $this->stepBack(
                $client,
                $proposal,
                $staffId,
                $now,
            ),
            ProposalKind::Suspend => $this->plans->suspend(
                $client,
                $key ?? Decided::EVERYTHING,
                $proposal->why,
                told: $now,
                at: $now,
            ),
            ProposalKind::SuspendRoutine => $this->plans->suspend(
                $client,
                Decided::EVERYTHING,
                $proposal->why,
                told: $now,
                at: $now,
            ),
            ProposalKind::Shorten => $this->shorten($client),
            // the dose is all there is to it
            ProposalKind::Ease,
            ProposalKind::ReleaseFirst,
            ProposalKind::Lighter,
            ProposalKind::StepDownAfterBreak,
            ProposalKind::Advance => null,
            // noted: what follows is for the therapist's hands
            ProposalKind::PlaceAgain,
            ProposalKind::ReadyToTry,
            ProposalKind::Review,
            ProposalKind::Plateau => null,
        };
    }

    /** How many sets there are is each routine's own. */
    private function changeSets(Client $client, string $key, int $sets): void
    {
        foreach ($this->plans->routines($client) as $routine) {
            $this->plans->lock($routine);
            $routine->items = RoutineFormat::write(
                array_map(
                    static fn (Item $i): Item => $i->key() === $key
                        ? $i->withDose($i->dose->withSets($sets))
                        : $i,
                    $this->plan->itemsOf($client, $routine),
                ),
            );
            $this->plans->keep($routine);
        }
    }

    private function approve(
        Client $client,
        Proposal $proposal,
        string $staffId,
        \DateTimeImmutable $now,
    ): void {
        if (null === $proposal->rungId || null === $proposal->hands) {
            return;
        }
        foreach (RungOnSide::forHands($proposal->rungId, $proposal->hands) as $approved) {
            $this->plans->keep(
                new ApprovedRung(
                    $client->clinicId,
                    $client->id,
                    $approved->rungId,
                    $approved->side,
                    byStaffId: $staffId,
                    at: $now,
                ),
            );
        }
    }

    private function stepBack(
        Client $client,
        Proposal $proposal,
        string $staffId,
        \DateTimeImmutable $now,
    ): void {
        foreach ($client->affected() as $side) {
            if (null !== $proposal->toRungId && true === $proposal->hands?->covers($side)) {
                $ladder = $this->catalogue->get()->ladderOf($proposal->toRungId);
                $this->plans->keep(
                    new PlacementOverride(
                        $client->clinicId,
                        $client->id,
                        $ladder->key,
                        $side,
                        rungId: $proposal->toRungId,
                        note: mb_substr(
                            $this->wording->say($proposal->why),
                            0,
                            300,
                        ),
                        byStaffId: $staffId,
                        at: $now,
                    ),
                );
            }
        }
    }

    /** A quarter less time a sitting. */
    public function shorten(Client $client): void
    {
        $client->minutes = max(
            5,
            (int) floor($client->minutes * 0.75),
        );
        $this->clients->save();
    }
}
