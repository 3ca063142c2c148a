<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Core\Approach\ChosenSchool;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\FactsSource;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\Override;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Placement\Thresholds;

/** What the database knows of one client. */
final readonly class ClientRecords implements FactsSource
{
    public function __construct(
        private Client $client,
        private ReadingRepository $readings,
        private Cautions $cautions,
        private PlanRepository $plans,
        private Marks $marks,
        private Helpers $helpers,
        private Thresholds $thresholds,
        private \DateTimeImmutable $today,
    ) {
    }

    public function people(): People
    {
        $conditions = $this->client->conditions();
        $affected = $this->client->affected();
        \assert([] !== $conditions && [] !== $affected, 'The form asks for both.');

        return new People(
            $conditions,
            $affected,
            $this->client->unaffected(),
            $this->client->writingHand,
        );
    }

    public function setting(): Setting
    {
        $there = $this->helpers->there($this->client);

        return new Setting(
            [] !== $there,
            [] === $there ? [] : SignOff::keysOf($this->marks->signed($this->client, $this->today), $there),
            materials: $this->client->materials,
        );
    }

    public function thresholds(): Thresholds
    {
        return $this->thresholds;
    }

    public function measured(): Measured
    {
        return new Measured(
            $this->readings->for($this->client),
            $this->cautions->screening($this->client),
            $this->client->injection(),
        );
    }

    public function decided(): Decided
    {
        return new Decided(
            $this->plans->approvedRungs($this->client),
            array_map(
                static fn (PlacementOverride $o): Override => new Override(
                    $o->ladderKey,
                    $o->side,
                    $o->rungId,
                    $o->note,
                    on: $o->at,
                ),
                $this->plans->overrides($this->client),
            ),
            array_map(
                static fn (Suspension $s): string => $s->itemKey,
                $this->plans->suspensions($this->client),
            ),
            array_map(
                static fn (ApproachChoice $a): ChosenSchool => new ChosenSchool(
                    $a->question,
                    $a->school,
                    $a->note,
                ),
                $this->plans->approaches($this->client),
            ),
        );
    }
}
