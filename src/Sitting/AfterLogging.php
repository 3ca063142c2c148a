<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Sitting\Stops;
use HandGarden\Core\Sitting\StopTable;
use HandGarden\Core\Sitting\Wrong;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Web\Clock;

/** Suspends at once what a symptom speaks against; a therapist reopens it. */
final readonly class AfterLogging
{
    public function __construct(
        private ClinicSettings $settings,
        private SittingRepository $sittings,
        private PlanRepository $plans,
        private Alerts $alerts,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @param \DateTimeImmutable $told when it reached us: what was reopened after that stays open */
    public function line(Client $client, LogLine $line, \DateTimeImmutable $told): void
    {
        $symptoms = new Symptoms($this->settings->of($client->clinicId)->progress());
        if (!$symptoms->suspends($line)) {
            return;
        }
        $code = match (true) {
            $line->systemic => 'suspension.systemic',
            $line->newTingling => 'suspension.tingling',
            default => 'suspension.pain',
        };
        $why = new Phrase(
            $code,
            ['item' => $this->catalogue->get()->nameOf($line->rungId), 'on' => Phrase::day($line->day)],
        );
        $this->suspend($client, $this->resting($line), $why, $told);
        $this->alerts->raise(
            $client,
            $line->systemic ? AlertKind::Emergency : AlertKind::Part,
            $line->systemic ? '' : $line->itemKey(),
            $why,
            begunAt: $line->day,
            told: $told,
        );
    }

    /**
     * What a sign holds until a therapist has answered, and who has to be told.
     *
     * @param ?SittingItem $item in which it came; null: in none
     */
    public function wrong(Client $client, Wrong $wrong, ?SittingItem $item, SittingEvent $event): void
    {
        $consequence = $wrong->consequence(
            new StopTable($this->settings->of($client->clinicId)->progress()),
        );
        $why = new Phrase('suspension.sign', [
            'item' => null === $item ? '' : $this->catalogue->get()->nameOf($item->rungId),
            'sign' => $wrong->sign->value,
            'strength' => $wrong->strength ?? -1,
            'on' => Phrase::day($event->day),
        ]);
        $this->suspend(
            $client,
            $this->heldBy($consequence->holds, $item),
            $why,
            $event->receivedAt,
        );
        if (null !== $consequence->alert) {
            $isOfAll = null === $item || $consequence->stops->endsTheSitting();
            $this->alerts->raise(
                $client,
                $consequence->alert,
                $isOfAll ? '' : $item->key()->text(),
                $why,
                begunAt: $event->at,
                told: $event->receivedAt,
            );
        }
    }

    /** @param list<string> $keys of what rests */
    private function suspend(
        Client $client,
        array $keys,
        Phrase $why,
        \DateTimeImmutable $told,
    ): void {
        foreach ($keys as $key) {
            $this->plans->suspend($client, $key, $why, $told, at: $this->clock->now());
        }
    }

    /** @return list<string> */
    private function heldBy(Stops $holds, ?SittingItem $item): array
    {
        if (null === $item || Stops::Everything === $holds) {
            return Stops::Everything === $holds ? [Decided::EVERYTHING] : [];
        }
        $itemKey = $item->key()->text();

        return match ($holds) {
            Stops::Item => [$itemKey],
            Stops::Part => $this->withItsParts($item->rungId, $item->hands, $itemKey),
            default => [],
        };
    }

    /** @return list<string> what rests: everything, or the item and after severe pain the parts that it strains */
    private function resting(LogLine $line): array
    {
        if ($line->systemic) {
            return [Decided::EVERYTHING];
        }

        return $line->newTingling
            ? [$line->itemKey()]
            : $this->withItsParts($line->rungId, $line->hands, $line->itemKey());
    }

    /** @return list<string> an item and the parts that it strains; what only rests stays */
    private function withItsParts(string $rungId, Hands $hands, string $itemKey): array
    {
        $catalogue = $this->catalogue->get();
        if (!$catalogue->hasRung($rungId)) {
            return [$itemKey];
        }
        $rung = $catalogue->rung($rungId);
        $keys = $rung->isRest() ? [] : [$itemKey];
        foreach ($rung->demands->works->strained() as $part) {
            foreach ($hands->each() as $side) {
                $keys[] = Decided::partKey($part, $side);
            }
        }

        return $keys;
    }

    /**
     * Looks again at the items of a sitting, after pain was told of it as a whole or of the time after it. Other
     * symptoms had their consequence when they were told.
     *
     * @param \DateTimeImmutable $told when it reached us: what was reopened after that stays open, also when it is sent
     *    again
     */
    public function painOf(Client $client, string $sittingId, \DateTimeImmutable $told): void
    {
        $log = $this->sittings->log($client);
        foreach ($log->itemKeys() as $key) {
            foreach ($log->for($key) as $line) {
                $isPain = !$line->systemic && !$line->newTingling;
                if ($line->sittingId === $sittingId && $isPain) {
                    $this->line($client, $line, $told);
                }
            }
        }
    }
}
