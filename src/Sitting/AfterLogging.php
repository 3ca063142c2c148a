<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Web\Clock;

/** Suspends at once what a symptom speaks against; a therapist reopens it. */
final readonly class AfterLogging
{
    public function __construct(
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
        $symptoms = new Symptoms(new ProgressSettings());
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
            ['item' => $this->nameOf($line->rungId), 'on' => Phrase::day($line->day)],
        );
        $now = $this->clock->now();
        foreach ($this->resting($line) as $key) {
            $this->plans->suspend($client, $key, $why, $told, at: $now);
        }
        $this->alerts->raise(
            $client,
            $line->systemic ? AlertKind::Emergency : AlertKind::Part,
            $line->systemic ? '' : $line->itemKey(),
            $why,
            begunAt: $line->day,
            told: $told,
        );
    }

    /** @return list<string> what rests: everything, or the item and after severe pain the parts that it strains */
    private function resting(LogLine $line): array
    {
        if ($line->systemic) {
            return [Decided::EVERYTHING];
        }
        $catalogue = $this->catalogue->get();
        if ($line->newTingling || !$catalogue->hasRung($line->rungId)) {
            return [$line->itemKey()];
        }
        $rung = $catalogue->rung($line->rungId);
        $keys = $rung->isRest() ? [] : [$line->itemKey()];
        foreach ($rung->demands->works->strained() as $part) {
            foreach ($line->hands->each() as $side) {
                $keys[] = Decided::partKey($part, $side);
            }
        }

        return $keys;
    }

    private function nameOf(string $rungId): string
    {
        $catalogue = $this->catalogue->get();

        return $catalogue->hasRung($rungId) ? $catalogue->rung($rungId)->name : $rungId;
    }

    /** Looks again at the last line of each item, after late pain was told. */
    public function check(Client $client): void
    {
        $log = $this->sittings->log($client);
        foreach ($log->itemKeys() as $key) {
            $lines = $log->for($key);
            if ([] !== $lines) {
                $this->line($client, $lines[array_key_last($lines)], $this->clock->now());
            }
        }
    }
}
