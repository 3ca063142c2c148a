<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Sitting\SittingRepository;

/** The dose of one exercise over a time, with what was reached of it. */
final readonly class DoseCharts
{
    public function __construct(
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
    ) {
    }

    /**
     * @param list<array{at: \DateTimeImmutable, dose: Dose, of: PrescribedDose}> $history of its dose, oldest first
     *
     * @return ?Chart null: nobody knows the exercise any more
     */
    public function of(
        Client $client,
        string $key,
        array $history,
        WorkCharts $charts,
        \DateTimeImmutable $from,
        ?\DateTimeImmutable $until = null,
    ): ?Chart {
        $item = ItemKey::fromText($key);
        if (null === $item || !$this->catalogue->get()->hasRung($item->rungId)) {
            return null;
        }
        $rung = $this->catalogue->get()->rung($item->rungId);
        [$least, $most] = $rung->dosing->range->holdSeconds;
        $isHold = $most > $least;
        $isYet = static fn (\DateTimeImmutable $at): bool => null === $until || $at < $until->modify(
            '+1 day',
        );
        $doses = [];
        foreach ($history as ['at' => $at, 'dose' => $dose]) {
            if ($isYet($at)) {
                $doses[] = [
                    'at' => $at,
                    'value' => (float) ($isHold ? $dose->holdSeconds : $dose->repetitions),
                ];
            }
        }

        return $charts->item(
            $rung->name.', '.$item->hands->label(),
            $rung,
            $isHold,
            array_values(array_filter(
                $this->sittings->linesOf($client, $item, $from),
                static fn (LogLine $l): bool => $isYet($l->day),
            )),
            doses: $doses,
        );
    }
}
