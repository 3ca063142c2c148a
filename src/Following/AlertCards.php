<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\ClinicHours;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Progress\WorkedParts;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Sitting\AlertAct;
use HandGarden\Core\Sitting\StopTable;
use HandGarden\Core\Sitting\Wrong;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Suspension;
use HandGarden\Planning\SuspensionWords;
use HandGarden\Progress\Reopening;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\AlertTimes;
use HandGarden\Sitting\EventStore;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** Brings together what belongs on the card of an alert, and what may be done about it. */
final readonly class AlertCards
{
    private const SITTINGS = 3;

    public function __construct(
        private Alerts $alerts,
        private EventStore $events,
        private PlanRepository $plans,
        private SittingRepository $sittings,
        private Reopening $reopening,
        private ClinicRepository $clinics,
        private ClinicHours $hours,
        private ClinicSettings $settings,
        private CatalogueStore $catalogue,
        private SuspensionWords $names,
        private Cautions $cautions,
        private Helpers $helpers,
        private Clock $clock,
        private Wording $wording,
    ) {
    }

    public function for(Client $client, Alert $alert): AlertCard
    {
        $rung = $this->rungOf($alert);
        $dose = $this->plans->doses($client)[$alert->itemKey] ?? null;
        $rests = $this->plans->suspensions($client);
        $bars = $this->bars($client, $alert, $rests);

        return new AlertCard(
            $alert,
            AlertTimes::of(
                $alert,
                $this->hours->of($client->clinicId),
            ),
            $rung,
            dose: $dose,
            told: $this->told($client, $alert),
            strips: $this->strips($client, $rung, $alert),
            rests: array_map(fn (Suspension $s): array => [
                'name' => $this->names->nameOf($s),
                'of' => $s,
            ], $rests),
            notes: $this->alerts->notes($alert),
            acts: self::acts(
                $rests,
                $rung,
                $dose,
                isBarred: null !== $bars,
            ),
            bars: $bars,
            isFromOut: $this->events->isFromOut($client, $alert->receivedAt),
        );
    }

    /**
     * All that its page shows.
     *
     * @param array<string, mixed> $typed what was sent, when it was not enough
     *
     * @return array<string, mixed>
     */
    public function page(Client $client, AlertCard $card, array $typed = []): array
    {
        return [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'card' => $card,
            'names' => $this->clinics->namesOfStaff(),
            'helpers' => $this->helpers->of($client),
            'clinic' => $this->clinics->own(),
            'now' => $this->clock->now(),
            'today' => $this->clock->today($client->zone),
            'typed' => $typed,
        ];
    }

    /** The sentence by which the client reads what was done. */
    public function wordsFor(Alert $alert, ?AlertAct $act): string
    {
        return null === $act ? '' : $this->wording->word('alert_words.'.$act->value, [
            'item' => $this->rungOf($alert)->name ?? $this->wording->word('alert_words.all'),
        ]);
    }

    private function rungOf(Alert $alert): ?Rung
    {
        $key = ItemKey::fromText($alert->itemKey);
        $catalogue = $this->catalogue->get();

        return null !== $key && $catalogue->hasRung($key->rungId) ? $catalogue->rung($key->rungId) : null;
    }

    /**
     * @param list<Suspension> $rests
     *
     * @return list<AlertAct>
     */
    private static function acts(array $rests, ?Rung $rung, ?Dose $dose, bool $isBarred): array
    {
        $canBeLower = null !== $rung && null !== $dose && null !== (new DoseSteps($rung))->down($dose);

        return array_values(array_filter([
            [] === $rests ? null : AlertAct::KeepHeld,
            [] === $rests || $isBarred || !$canBeLower ? null : AlertAct::ReopenLower,
            [] === $rests || $isBarred ? null : AlertAct::Reopen,
            null === $rung ? null : AlertAct::Out,
        ]));
    }

    /**
     * After an emergency the screening is asked anew before anything goes on.
     *
     * @param list<Suspension> $rests
     */
    private function bars(Client $client, Alert $alert, array $rests): ?Phrase
    {
        foreach ($rests as $one) {
            $bars = $this->reopening->bars($client, $one);
            if (null !== $bars) {
                return $bars;
            }
        }

        return $alert->kind->wantsScreening() ? $this->reopening->screeningFirst($client) : null;
    }

    /** @return list<string> what stood on the screen when it was told */
    private function told(Client $client, Alert $alert): array
    {
        $table = new StopTable(
            $this->settings->of($client->clinicId)->progress(),
        );
        $number = $this->clinics->own()->emergencyNumber;

        return array_map(
            fn (Wrong $wrong): string => $this->wording->word(
                'wrong.'.$wrong->consequence($table)->words,
                ['emergency' => $number],
            ),
            $this->events->wrongsReceived($client, $alert->receivedAt),
        );
    }

    /** @return list<array{name: string, strip: Strip}> */
    private function strips(Client $client, ?Rung $rung, Alert $alert): array
    {
        $log = $this->sittings->log($client);
        $keys = null === $rung ? [] : $this->ofTheSamePart(
            $log,
            $rung,
        );
        $strips = [];
        foreach ($keys as $key) {
            $strip = Strip::of(
                $key,
                $log,
                self::SITTINGS,
            );
            if (!$strip->isEmpty()) {
                $item = ItemKey::fromText($key);
                $strips[] = [
                    'name' => $this->catalogue->get()->nameOf($item->rungId ?? ''),
                    'strip' => $strip,
                    'own' => $key === $alert->itemKey,
                ];
            }
        }
        usort(
            $strips,
            static fn (array $a, array $b): int => $b['own'] <=> $a['own'],
        );

        return array_map(
            static fn (array $s): array => [
                'name' => $s['name'],
                'strip' => $s['strip'],
            ],
            \array_slice($strips, 0, self::SITTINGS),
        );
    }

    /** @return list<string> item keys, the one done last first */
    private function ofTheSamePart(SittingLog $log, Rung $rung): array
    {
        $parts = WorkedParts::of($rung);
        $catalogue = $this->catalogue->get();
        $lines = array_filter(
            array_reverse($log->lines),
            static fn (LogLine $l): bool => $catalogue->hasRung($l->rungId)
                && [] !== array_uintersect(
                    WorkedParts::of($catalogue->rung($l->rungId)),
                    $parts,
                    static fn ($a, $b): int => $a->value <=> $b->value,
                ),
        );

        return array_values(array_unique(array_map(
            static fn (LogLine $l): string => $l->itemKey(),
            $lines,
        )));
    }
}
