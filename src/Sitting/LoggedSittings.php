<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Progress\EarlierToday;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Planning\PastSittings;
use HandGarden\Web\Clock;

final readonly class LoggedSittings implements PastSittings
{
    public function __construct(
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    public function lastStrength(
        Client $client,
        \DateTimeImmutable $today,
    ): ?\DateTimeImmutable {
        $recent = null;
        foreach ($this->sittings->log($client)->lines as $line) {
            $strength = $this->catalogue->get()->hasRung($line->rungId)
                && EffortClass::Strength === $this->catalogue->get()->rung($line->rungId)->load->class;
            if (
                $strength
                && Outcome::Skipped !== $line->outcome
                && $line->day >= $today->modify('-1 day')
            ) {
                $recent = $line->day;
            }
        }

        return $recent;
    }

    public function practiceDays(Client $client): int
    {
        $today = $this->clock->today($client->zone)->format('Y-m-d');

        return \count(array_filter(
            $this->sittings->practiceDays($client),
            static fn (\DateTimeImmutable $day): bool => $day->format('Y-m-d') < $today,
        ));
    }

    public function earlierToday(Client $client): EarlierToday
    {
        return EarlierToday::in(
            $this->sittings->log($client),
            $this->catalogue->get(),
            $this->clock->today($client->zone),
        );
    }

    public function shown(Client $client): array
    {
        return $this->sittings->everDone($client); // whoever plays a sitting is of the clinic
    }

    public function recentDays(Client $client, \DateTimeImmutable $today): array
    {
        $days = [];
        foreach ($this->sittings->log($client)->lines as $line) {
            if (Outcome::Skipped !== $line->outcome && $line->day > $today->modify('-7 days')) {
                $days[$line->itemKey()][$line->day->format('Y-m-d')] = true;
            }
        }

        return array_map(\count(...), $days);
    }
}
