<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Home\OutBy;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ShortList;
use HandGarden\Core\Week\DayList;
use HandGarden\Core\Week\PlannedDay;
use HandGarden\Core\Week\Slot;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\GivenToday;
use HandGarden\Planning\Marks;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\PlanWeek;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SignOff;
use HandGarden\Sitting\HelperLines;
use HandGarden\Sitting\ReadsSigns;
use HandGarden\Sitting\ScoreSheet;
use HandGarden\Sitting\StopSheet;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/**
 * A plan as it is handed out ahead: each list as the player plays it, with what takes an exercise out of it, and which
 * list stands on which day. The device looks things up; nothing is decided there.
 */
final readonly class PlanSheet
{
    public const DAYS = 14;

    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private PlanWeek $week,
        private GivenToday $given,
        private Briefs $briefs,
        private ScoreSheet $sheet,
        private StopSheet $stops,
        private HelperLines $helper,
        private Helpers $helpers,
        private Marks $marks,
        private ClinicRepository $clinics,
        private ClinicSettings $settings,
        private CatalogueStore $catalogue,
        private Wording $wording,
        private Clock $clock,
    ) {
    }

    public function make(Client $client): HomePlan
    {
        $today = $this->clock->today($client->zone);
        $progress = $this->settings->of($client->clinicId)->progress();
        $lists = $planned = [];
        foreach ($this->plans->kinds($client) as $kind) {
            if (RoutineKind::Clinic !== $kind) {
                $given = $this->given->for($client, $kind);
                $lists[$kind->value] = $this->list($client, $kind, $given->items) + [
                    'waits' => array_map(
                        fn ($out): array => [
                            'what' => $this->wording->say($out->label),
                            'why' => $this->wording->say($out->reason),
                            'for' => $out->isForAHelper() ? 'helper' : 'therapist',
                        ],
                        $given->resting,
                    ),
                ];
                $planned[$kind->value] = array_map(RoutineFormat::planned(...), $given->items);
            }
        }

        return HomePlan::of(
            $client,
            [
                'lists' => (object) $lists,
                'days' => $this->days($client, $today),
                'limits' => [
                    'severePain' => $progress->painSuspends,
                    'tired' => $progress->fatigueHigh,
                    'oldDays' => OutBy::OLD_PLAN_DAYS,
                ],
                'smooth' => $this->smooth($client),
                'stops' => $this->stops->rows(
                    $this->clinics->own()->emergencyNumber,
                    $progress,
                ),
            ],
            record: $this->record($client),
            planned: $planned,
            today: $today,
            now: $this->clock->now(),
        );
    }

    /**
     * @param list<Item> $items
     *
     * @return array<string, mixed>
     */
    private function list(Client $client, RoutineKind $kind, array $items): array
    {
        $ids = array_map(strval(...), array_keys($items));
        $sheet = $this->sheet->of(
            $ids,
            $items,
            $this->plan->worseSide($client),
            onlyCalm: false,
            seed: crc32($client->id.$kind->value.$this->clock->today($client->zone)->format('Ymd')),
            stops: [],
        );
        unset($sheet['stops']);
        /** @var list<array<string, mixed>> $rows */
        $rows = $sheet['items'];
        $doors = $this->doors($client, $kind);
        ['alone' => $alone] = $doors;
        unset($doors['alone']);
        $prepared = $this->briefs->prepared($client, $kind)->by($items);
        foreach ($items as $place => $item) {
            $rows[$place]['key'] = $item->key();
            $rows[$place]['outBy'] = array_map(
                static fn (OutBy $by): string => $by->value,
                OutBy::of($item, $alone),
            );
            $rows[$place]['lockedFor'] = array_keys(array_filter(
                $doors,
                static fn (Door $door): bool => !$item->isPause && null !== $door->stops($item),
            ));
            $rows[$place]['preparedBy'] = $prepared[$place];
            $rows[$place]['things'] = $item->isPause ? [] : $this->things($item);
            $rows[$place]['worn'] = EffortClass::Device === $item->rung->load->class;
        }

        return ['items' => $rows] + $sheet
            + $this->helper->in($client, $ids, $items)
            + ReadsSigns::in($client)
            + ['short' => array_map(strval(...), ShortList::of($items, $prepared))];
    }

    /** @return list<string> who may be there when a cramp is smoothed out: `alone`, and ids of helpers */
    private function smooth(Client $client): array
    {
        $side = $this->plan->worseSide($client);

        return array_keys(
            array_filter(
                $this->doors($client, RoutineKind::Home),
                static fn (Door $door): bool => $door->letsSmooth($side),
            ),
        );
    }

    /** @return non-empty-array<string, Door> what may be done `alone`, then with each of those who help, by their id */
    private function doors(Client $client, RoutineKind $kind): array
    {
        $signed = $this->marks->signed($client, $this->clock->today($client->zone));

        return ['alone' => $this->briefs->doorAlone($client, $kind)] + array_map(
            fn (Helper $h): Door => $this->briefs->doorWith(
                $client,
                $kind,
                SignOff::keysOf($signed, [$h->id => $h]),
            ),
            $this->helpers->there($client),
        );
    }

    /** @return list<string> in words */
    private function things(Item $item): array
    {
        $handbook = $this->catalogue->get()->handbook();

        return array_map(
            static fn (string $key): string => lcfirst($handbook->material($key)->label ?? $key),
            $item->rung->fit->materials,
        );
    }

    /** @return list<array<string, mixed>> from today on */
    private function days(Client $client, \DateTimeImmutable $today): array
    {
        if ([] === $this->plans->kinds($client)) {
            return [];
        }
        $until = $today->modify('+'.self::DAYS.' days');
        $days = [];
        $monday = $this->week->monday($client, $today->format('Y-m-d'));
        while ($monday < $until) {
            foreach ($this->week->for($client, $monday)->days as $day) {
                if ($day->day >= $today && $day->day < $until) {
                    $days[] = self::day($day);
                }
            }
            $monday = $monday->modify('+7 days');
        }

        return $days;
    }

    /** @return array<string, mixed> */
    private static function day(PlannedDay $day): array
    {
        return [
            'day' => $day->day->format('Y-m-d'),
            'list' => DayList::B === $day->list ? RoutineKind::Other->value : RoutineKind::Home->value,
            'only' => array_values(
                array_unique(array_map(static fn (Item $i): string => $i->key(), $day->items)),
            ),
            'sittings' => [] === $day->items ? [] : array_map(static fn (Slot $s): array => [
                'at' => \sprintf('%02d:%02d', intdiv($s->from, 60), $s->from % 60),
                'minutes' => $s->to - $s->from,
            ], $day->slots),
        ];
    }

    /** @return array<string, array{name: string, dose: string}> doses of record in words, by item */
    private function record(Client $client): array
    {
        $record = [];
        foreach ([RoutineKind::Home, RoutineKind::Other] as $kind) {
            foreach ($this->plan->items($client, $kind) as $item) {
                if (!$item->isPause) {
                    $record[$item->key()] = [
                        'name' => $item->rung->name,
                        'dose' => $this->wording->say(DoseWords::of($item->dose)),
                    ];
                }
            }
        }

        return $record;
    }
}
