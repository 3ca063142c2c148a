<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\GroupWork\ClassDoor;
use HandGarden\Core\GroupWork\PlaceCards;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\StillPrepared;
use HandGarden\Web\Clock;

/** What a client may be given in a class, by the same door, doses and rules as alone. */
final readonly class InClass
{
    public function __construct(
        private Plan $plan,
        private Briefs $briefs,
        private PastSittings $past,
        private GivenToday $given,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** Poor judgement, or nobody has asked about it yet; advanced dementia. */
    public function needsOneBeside(Client $client): bool
    {
        $facts = $this->facts($client, false);

        return $facts->has(Condition::AdvancedDementia)
            || false !== $this->briefs->knownOf($facts, $client)->value('confused', null, Side::Right);
    }

    public function door(Client $client): ClassDoor
    {
        return $this->doorOf($this->facts($client, $this->needsOneBeside($client)), $client);
    }

    public function cards(Client $client): PlaceCards
    {
        $today = $this->clock->today($client->zone);
        $facts = $this->facts($client, $this->needsOneBeside($client));
        $limits = $this->briefs->limits(
            $client,
            RoutineKind::Clinic,
            $this->past->lastStrength($client, $today),
        );
        $rules = (new Builder($this->catalogue->get()))->rulesFor($facts, $limits, $today);
        $door = $this->doorOf($facts, $client);

        return new PlaceCards(
            $this->catalogue->get(),
            $door,
            $this->given->under($client, $limits->seconds(), $door->door, new StillPrepared($rules)),
            $rules,
            worse: $this->plan->worseSide($client),
            doseOf: fn (Rung $rung, Hands $hands): Dose => $this->briefs->doseOf(
                $client,
                RoutineKind::Clinic,
                $rung,
                $hands,
            ),
        );
    }

    private function doorOf(ClientFacts $facts, Client $client): ClassDoor
    {
        return new ClassDoor(
            $this->briefs->doorOf($facts, $client),
            new Performers($facts, $this->briefs->knownOf($facts, $client)),
        );
    }

    private function facts(Client $client, bool $isBeside): ClientFacts
    {
        $facts = $this->plan->facts($client)->withShown($this->plan->shown($client));

        return $facts->withSetting($facts->setting->inClass($isBeside));
    }
}
