<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\Visit;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Progress\WorkedParts;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionRepository;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\LoggedDay;
use HandGarden\Sitting\LoggedDays;
use HandGarden\Wearing\Wear;
use HandGarden\Wearing\Wears;
use HandGarden\Web\Clock;

/** What happened with a client in a month, out of everything that keeps a trace. */
final readonly class Logbook
{
    private const MOST_ALERTS = 200;

    public function __construct(
        private LoggedDays $sittings,
        private ReadingRepository $readings,
        private DecisionRepository $decisions,
        private Alerts $alerts,
        private Wears $wears,
        private CatalogueStore $catalogue,
    ) {
    }

    /** @return list<LogbookEntry> newest first */
    public function of(Client $client, LogbookFilter $filter): array
    {
        $entries = [
            ...$filter->wants('sittings') ? $this->sittings($client, $filter) : [],
            ...$this->isOfSittingsOnly($filter) ? [] : $this->others(
                $client,
                $filter,
            ),
        ];
        usort(
            $entries,
            static fn (LogbookEntry $a, LogbookEntry $b): int => [
                $b->day,
                $b->at,
            ] <=> [$a->day, $a->at],
        );

        return $entries;
    }

    /** @return list<LogbookEntry> */
    private function sittings(Client $client, LogbookFilter $filter): array
    {
        $days = $this->sittings->between(
            $client,
            $filter->month,
            $filter->lastDay(),
            $this->rungs($filter),
            person: $filter->person,
        );

        return array_map(
            static fn (LoggedDay $d): LogbookEntry => new LogbookEntry(
                'sittings',
                $d->day,
                $d->startedAt,
                $d,
            ),
            array_values(array_filter(
                $days,
                static fn (LoggedDay $d): bool => !$filter->onlySymptoms || $d->hasSymptom,
            )),
        );
    }

    /** An exercise or a part of the arm is of sittings alone. */
    private function isOfSittingsOnly(LogbookFilter $filter): bool
    {
        return '' !== $filter->rungId || null !== $filter->part;
    }

    /** @return list<LogbookEntry> */
    private function others(Client $client, LogbookFilter $filter): array
    {
        $entries = [];
        foreach ($filter->wants('alerts') ? $this->alerts->all($client, self::MOST_ALERTS) : [] as $alert) {
            $entries[] = self::entry(
                'alerts',
                $alert->receivedAt,
                $client,
                $alert,
            );
        }
        foreach ($filter->wants('wears') ? $this->wears->since($client, $filter->month) : [] as $wear) {
            if (!$filter->onlySymptoms || WearVerdict::Suspended === $wear->verdict()) {
                $entries[] = new LogbookEntry('wears', $wear->day, $wear->onAt, $wear);
            }
        }
        if (!$filter->onlySymptoms) {
            foreach ($filter->wants('visits') ? $this->visits($client, $filter) : [] as $visit) {
                $entries[] = new LogbookEntry(
                    'visits',
                    $visit->onDay,
                    $visit->at,
                    $visit,
                );
            }
            foreach ($filter->wants('decisions') ? $this->decisions->for($client) : [] as $decision) {
                $entries[] = self::entry(
                    'decisions',
                    $decision->at,
                    $client,
                    $decision,
                );
            }
        }

        return array_values(array_filter(
            $entries,
            static fn (LogbookEntry $e): bool => $e->day >= $filter->month
                && $e->day <= $filter->lastDay()
                && ('' === $filter->person || $filter->person === self::personOf($e)),
        ));
    }

    /** @return list<Visit> */
    private function visits(Client $client, LogbookFilter $filter): array
    {
        return $this->readings->visitsBetween(
            $client,
            $filter->month,
            $filter->lastDay(),
        );
    }

    private static function entry(
        string $kind,
        \DateTimeImmutable $at,
        Client $client,
        Alert|Decision $of,
    ): LogbookEntry {
        return new LogbookEntry(
            $kind,
            Clock::dayOf($at, $client->zone),
            $at,
            $of,
        );
    }

    private static function personOf(LogbookEntry $entry): string
    {
        return match (true) {
            $entry->of instanceof Visit => $entry->of->byStaffId,
            $entry->of instanceof Alert => $entry->of->answeredById ?? '',
            $entry->of instanceof Wear => $entry->of->personId,
            default => $entry->of->actorId,
        };
    }

    /** @return ?list<string> ids of what was asked for; null: all */
    private function rungs(LogbookFilter $filter): ?array
    {
        if ('' !== $filter->rungId) {
            return [$filter->rungId];
        }
        $part = $filter->part;
        if (null === $part) {
            return null;
        }

        return array_map(
            static fn (Rung $r): string => $r->id,
            array_values(array_filter(
                $this->catalogue->get()->rungs(),
                static fn (Rung $r): bool => \in_array(
                    $part,
                    WorkedParts::of($r),
                    true,
                ),
            )),
        );
    }
}
