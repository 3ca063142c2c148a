<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\FirstDose;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\MeasureFirst;
use HandGarden\Core\Routine\Priorities;
use HandGarden\Core\Routine\Priority;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Routine\StillPrepared;
use HandGarden\Core\Routine\TaskChoice;
use HandGarden\Core\Routine\TaskToday;
use HandGarden\Web\Clock;

/**
 * What a routine of each kind is built from: who is there, how long it may take, what the clinic and the therapist
 * have set.
 */
final readonly class Briefs
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private PastSittings $past,
        private ClinicSettings $settings,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    public function for(
        Client $client,
        RoutineKind $kind,
        Edits $edits = new Edits(),
    ): Brief {
        $today = $this->clock->today($client->zone);

        return new Brief(
            $this->placements($client, $kind),
            $this->facts($client, $kind),
            $this->goals($client),
            $this->limits($client, $kind, $this->past->lastStrength($client, $today)),
            today: $today,
            doses: $this->plans->doses($client),
            edits: $edits,
            weights: $this->settings->of($client->clinicId)->weights(),
            recentDays: $this->past->recentDays($client, $today),
            focusFirst: $this->focusFirst($client),
        );
    }

    /**
     * What matters most for this client now, the few ladders that come first.
     *
     * @return list<array{LadderPlacement, Priority}>
     */
    public function focus(Client $client, RoutineKind $kind): array
    {
        $brief = new Brief(
            $this->placements($client, $kind),
            $this->facts($client, $kind),
            $this->goals($client),
            $this->limits($client, $kind),
            today: $this->clock->today($client->zone),
            focusFirst: $this->focusFirst($client),
        );

        return (new Candidates($this->catalogue->get(), $brief))->focus();
    }

    /** @return list<string> `ladder|side` */
    private function focusFirst(Client $client): array
    {
        return array_map(
            static fn (FocusChoice $c): string => $c->key(),
            $this->plans->focusChoices($client),
        );
    }

    /** The daily task that the sitting ends with, or what is missing for it; null: no goal has one that fits. */
    public function task(Client $client, RoutineKind $kind): ?TaskToday
    {
        $facts = $this->facts($client, $kind);

        return (new TaskChoice(
            $this->catalogue->get(),
            $facts,
            $this->known($client, $kind),
        ))->of(
            $this->goals($client),
        );
    }

    public function limits(
        Client $client,
        RoutineKind $kind,
        ?\DateTimeImmutable $lastStrengthOn = null,
    ): Limits {
        return $kind->limits(
            $client,
            $this->settings->of($client->clinicId)->sitting(),
            $lastStrengthOn,
        );
    }

    public function rules(Client $client, RoutineKind $kind): SittingRules
    {
        return (new Builder($this->catalogue->get()))->rulesFor(
            $this->facts($client, $kind),
            $this->limits($client, $kind),
            $this->clock->today($client->zone),
        );
    }

    public function goals(Client $client): Goals
    {
        return Goals::chosen($this->catalogue->get()->goals, $client->goals);
    }

    /** With which dose an item comes in: the one of record, else the first by what was measured. */
    public function doseOf(Client $client, RoutineKind $kind, Rung $rung, Hands $hands): Dose
    {
        return $this->plans->doses($client)[(new ItemKey($rung->id, $hands))->text()]
            ?? (new FirstDose($this->known($client, $kind)))->of($rung, $hands);
    }

    /** What is asked before anything is given in a sitting of this kind. */
    public function door(Client $client, RoutineKind $kind): Door
    {
        return $this->doorOf($this->facts($client, $kind), $client);
    }

    /** The same with nobody there who was shown anything. */
    public function doorAlone(Client $client, RoutineKind $kind): Door
    {
        $facts = $this->facts($client, $kind);

        return $this->doorOf($facts->withSetting($facts->setting->alone()), $client);
    }

    /**
     * The same with one helper there.
     *
     * @param list<string> $signed `rung|side` that they may do by hand
     */
    public function doorWith(Client $client, RoutineKind $kind, array $signed): Door
    {
        $facts = $this->facts($client, $kind);

        return $this->doorOf($facts->withSetting($facts->setting->helpedBy($signed)), $client);
    }

    /** What prepares what in a sitting of this kind. */
    public function prepared(Client $client, RoutineKind $kind): StillPrepared
    {
        return new StillPrepared($this->rules($client, $kind));
    }

    /** What is asked of a client as the facts say. */
    public function doorOf(ClientFacts $facts, Client $client): Door
    {
        return new Door(
            $this->catalogue->get(),
            $facts,
            $this->knownOf($facts, $client),
            $this->clock->today($client->zone),
        );
    }

    /** What is measured first, by what the client wants and what limits the hand. */
    public function measureFirst(Client $client): MeasureFirst
    {
        $known = $this->knownOf($this->plan->facts($client), $client);

        return new MeasureFirst(new Priorities(
            $this->catalogue->get(),
            $this->goals($client),
            $known,
        ));
    }

    public function known(Client $client, RoutineKind $kind): KnownFacts
    {
        return $this->knownOf($this->facts($client, $kind), $client);
    }

    public function knownOf(ClientFacts $facts, Client $client): KnownFacts
    {
        return new KnownFacts(
            $facts,
            $this->catalogue->get()->vocabulary,
            $this->clock->today($client->zone),
        );
    }

    private function facts(Client $client, RoutineKind $kind): ClientFacts
    {
        $facts = $this->plan->facts($client)->withShown($this->plan->shown($client));

        return RoutineKind::Clinic === $kind ? $facts->withSetting($facts->setting->inTheClinic()) : $facts;
    }

    private function placements(Client $client, RoutineKind $kind): Placements
    {
        return RoutineKind::Clinic === $kind
            ? (new Placer($this->catalogue->get()))->place(
                $this->facts($client, $kind),
                $this->clock->today($client->zone),
            )
            : $this->plan->placements($client);
    }
}
