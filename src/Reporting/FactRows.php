<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\StaffNames;
use HandGarden\Assessment\MeasureView;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Planning\PlanRepository;
use HandGarden\Progress\DecisionRepository;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\LoggedDay;
use HandGarden\Sitting\LoggedDays;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** Everything that a line of a report rests on, with what is kept of it now. */
final readonly class FactRows
{
    public function __construct(
        private ReadingRepository $readings,
        private LoggedDays $sittings,
        private PlanRepository $plans,
        private Alerts $alerts,
        private DecisionRepository $decisions,
        private CatalogueStore $catalogue,
        private StaffNames $names,
        private FactLinks $links,
        private Wording $wording,
    ) {
    }

    /**
     * @param list<Fact> $facts
     *
     * @return list<FactRow> in their order
     */
    public function of(Client $client, array $facts): array
    {
        $kinds = array_unique(array_map(static fn (Fact $f): string => $f->kind->value, $facts));
        $says = [];
        foreach ($kinds as $kind) {
            $says += match (FactKind::from($kind)) {
                FactKind::Reading => $this->measured($client, $facts),
                FactKind::Sitting => $this->held($client, $facts),
                FactKind::Dose => $this->doses($client),
                FactKind::Alert => $this->told($client),
                FactKind::Decision => $this->decided($client),
                default => [],
            };
        }

        return array_map(fn (Fact $fact): FactRow => new FactRow(
            $fact->kind,
            $says[$fact->text()] ?? '',
            $this->links->of($client, $fact),
        ), $facts);
    }

    /**
     * @param list<Fact> $facts
     *
     * @return array<string, string> by fact
     */
    private function measured(Client $client, array $facts): array
    {
        $days = [];
        foreach ($facts as $fact) {
            $days[explode('@', $fact->id)[1] ?? ''] = true;
        }
        unset($days['']);
        $of = $this->readings->ofDays($client, array_map(strval(...), array_keys($days)));
        $says = [];
        foreach ($facts as $fact) {
            [$key, $day] = explode('@', $fact->id) + ['', ''];
            $found = array_filter(
                $of,
                static fn (Reading $r): bool => $r->on->format('Y-m-d') === $day && self::isPartOf($r, $key),
            );
            if (FactKind::Reading === $fact->kind && [] !== $found) {
                $says[$fact->text()] = implode('; ', array_map(
                    fn (Reading $r): string => $this->reading($client, $r),
                    $found,
                ));
            }
        }

        return $says;
    }

    /** A total rests on all joints of its finger. */
    private static function isPartOf(Reading $reading, string $key): bool
    {
        [$code, $argument, $mode, $side] = explode('|', $key) + ['', '', '', ''];
        $isIt = str_starts_with($code, 'total_')
            ? str_starts_with($reading->code, substr($code, 6).'_')
            : $reading->code === $code && ($reading->argument ?? '') === $argument;

        return $isIt && ($reading->mode->value ?? '') === $mode && ($reading->side->value ?? '') === $side;
    }

    private function reading(Client $client, Reading $reading): string
    {
        $kind = $this->catalogue->get()->vocabulary->kinds->find($reading->code);
        $by = $reading->taken->byStaffId ?? '';
        $hand = trim(($reading->side->value ?? '').' '.($reading->mode->value ?? ''));

        return $this->wording->word('report_row.reading', [
            'label' => null === $kind ? $reading->code : MeasureView::name($kind, $reading->argument),
            'hand' => '' === $hand ? 'none' : $hand,
            'value' => MeasureView::text($kind, $reading).($kind?->unit->sign() ?? ''),
            'on' => $reading->on->format('j M Y'),
            'by' => '' === $by ? 'none' : $this->names->of($client->clinicId, $by),
            'position' => $reading->taken?->position->label() ?? '',
            'medicine' => $reading->taken?->medication->value ?? '',
        ]);
    }

    /**
     * @param list<Fact> $facts
     *
     * @return array<string, string> by fact
     */
    private function held(Client $client, array $facts): array
    {
        $ids = array_map(static fn (Fact $f): string => $f->id, array_values(array_filter(
            $facts,
            static fn (Fact $f): bool => FactKind::Sitting === $f->kind,
        )));
        $says = [];
        foreach ($this->sittings->these($client, $ids) as $held) {
            $says[(new Fact(FactKind::Sitting, $held->id))->text()] = $this->sitting($client, $held);
        }

        return $says;
    }

    private function sitting(Client $client, LoggedDay $held): string
    {
        return $this->wording->word('report_row.sitting', [
            'on' => $held->day->format('j M Y'),
            'at' => $held->startedAt->setTimezone(new \DateTimeZone($client->zone))->format('H:i'),
            'done' => $held->done,
            'part' => $held->part,
            'items' => $held->items,
            'pain' => $held->painAfter ?? 'none',
        ]);
    }

    /** @return array<string, string> by fact */
    private function doses(Client $client): array
    {
        $says = [];
        foreach ($this->plans->doseHistories($client) as $key => $history) {
            $item = ItemKey::fromText($key);
            foreach ($history as ['at' => $at, 'dose' => $dose, 'of' => $kept]) {
                $says[(new Fact(
                    FactKind::Dose,
                    $kept->id,
                ))->text()] = $this->wording->word(
                    'report_row.dose',
                    [
                        'item' => $this->catalogue->get()->nameOf($item->rungId ?? $key),
                        'dose' => $this->wording->say(DoseWords::of($dose)),
                        'on' => Clock::dayOf($at, $client->zone)->format('j M Y'),
                        'by' => $this->names->of($client->clinicId, $kept->byStaffId),
                    ],
                );
            }
        }

        return $says;
    }

    /** @return array<string, string> by fact */
    private function decided(Client $client): array
    {
        $says = [];
        foreach ($this->decisions->for($client) as $decision) {
            $says[(new Fact(FactKind::Decision, $decision->proposalKey))->text()] = $this->wording->word(
                'report_row.decision',
                [
                    'answer' => $decision->answer->value,
                    'on' => Clock::dayOf($decision->at, $client->zone)->format('j M Y'),
                    'why' => $this->wording->say($decision->why()),
                ],
            );
        }

        return $says;
    }

    /** @return array<string, string> by fact */
    private function told(Client $client): array
    {
        $says = [];
        foreach ($this->alerts->all($client, Materials::MOST_ALERTS) as $alert) {
            $says[(new Fact(FactKind::Alert, $alert->id))->text()] = $this->alert($client, $alert);
        }

        return $says;
    }

    private function alert(Client $client, Alert $alert): string
    {
        return Clock::dayOf($alert->begunAt, $client->zone)->format('j M Y').': '
            .$this->wording->say($alert->why());
    }
}
