<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\GroupWork\LeadDose;
use HandGarden\Core\GroupWork\PlaceItem;
use HandGarden\Core\GroupWork\Staffing;
use HandGarden\Core\GroupWork\Version;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\InClass;

/** What a class does, place by place, and what that asks for. */
final readonly class ClassPlan
{
    public function __construct(
        private InClass $inClass,
        private CatalogueStore $catalogue,
        private ClinicSettings $settings,
    ) {
    }

    /** @return list<Rung> that the catalogue still has, in the order in which they are led */
    public function rungs(HandClass $class): array
    {
        return array_values(array_filter(
            array_map(fn (string $id): ?Rung => $this->catalogue->rung($id), $class->rungs),
        ));
    }

    /** @return list<PlaceItem> one for each exercise of the class */
    public function card(HandClass $class, Client $client, bool $onlyCalm = false): array
    {
        return $this->inClass->cards($client)->of($this->rungs($class), $onlyCalm);
    }

    /**
     * The class as the wall leads it: of nobody's hand.
     *
     * @param list<Rung>            $rungs
     * @param list<list<PlaceItem>> $cards of the places
     *
     * @return list<Item>
     */
    public function leads(array $rungs, array $cards): array
    {
        $leads = [];
        foreach ($rungs as $nth => $rung) {
            $leads[] = new Item($rung, Hands::Together, $this->lead($rung, $cards, $nth), Phrase::own(''));
        }

        return $leads;
    }

    /** @param list<list<PlaceItem>> $cards */
    private function lead(Rung $rung, array $cards, int $nth): Dose
    {
        $doses = [];
        foreach ($cards as $card) {
            $one = $card[$nth];
            if (Version::Same === $one->version && null !== $one->item) {
                $doses[] = $one->item->dose;
            }
        }

        return [] === $doses ? $rung->dosing->start : LeadDose::of($doses);
    }

    /**
     * Staff who have to be there.
     *
     * @param list<Member> $members
     */
    public function staffNeeded(HandClass $class, array $members): int
    {
        $most = $this->settings->of($class->clinicId)->sitting()->classPlaces;

        return (new Staffing($most))->needed(
            \count($members),
            \count(array_filter($members, static fn (Member $m): bool => $m->isOneToOne)),
        );
    }
}
