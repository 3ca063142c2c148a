<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Measure\Change\Terms;
use HandGarden\Core\Measure\Reading;
use HandGarden\Web\Wording;

/** What has really changed of a client, by the figures of their clinic and their injection. */
final readonly class MeasuredChanges
{
    public function __construct(
        private ReadingRepository $readings,
        private CatalogueStore $catalogue,
        private ClinicSettings $settings,
        private Wording $wording,
    ) {
    }

    /**
     * @param int $charts how many of the first are drawn
     *
     * @return list<Change> of what was measured on two days or more since then
     */
    public function since(Client $client, \DateTimeImmutable $day, int $charts): array
    {
        $days = MeasuringDays::thinned($this->readings->days($client, $day));

        return $this->in($client)->for(
            $this->readings->ofDays($client, $days),
            $charts,
        );
    }

    /**
     * What is said of a time that is over: of each measure the first and the last that was taken in it.
     *
     * @return list<Change> of what was measured on two days or more, none of them drawn yet
     */
    public function between(
        Client $client,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
    ): array {
        $days = array_values(array_filter(
            $this->readings->days($client, $from),
            static fn (string $day): bool => $day <= $until->format('Y-m-d'),
        ));

        return $this->in($client)->for(
            $this->readings->endsAndDays($client, $from, $until, MeasuringDays::thinned($days)),
            0,
        );
    }

    /**
     * @param list<Reading> $history oldest first
     *
     * @return list<Change>
     */
    public function of(Client $client, array $history): array
    {
        return $this->in($client)->for($history);
    }

    private function in(Client $client): Changes
    {
        return new Changes(
            $this->catalogue->get()->vocabulary->kinds,
            new Terms(
                $client->injectionDay(),
                $this->settings->of($client->clinicId)->differences(),
            ),
            $this->wording,
        );
    }
}
