<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\PlainDose;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\KeptDay;
use HandGarden\Core\Report\KeptDose;
use HandGarden\Core\Report\KeptHelp;
use HandGarden\Core\Report\KeptHome;
use HandGarden\Core\Report\KeptWear;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Week\PlannedDay;
use HandGarden\Core\Week\Slot;
use HandGarden\Core\Week\Week;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\Marks;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SignOff;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Wearing\WearSheet;
use HandGarden\Wearing\WearSheets;

/** What stays at home when care ends. */
final readonly class KeptHomes
{
    /** Days on which an exercise has to be done as prescribed before it counts as held. */
    private const HELD_DAYS = 2;
    private const FACTS = 4;

    public function __construct(
        private StayingItems $items,
        private Plan $plan,
        private SittingRepository $sittings,
        private PlanRepository $plans,
        private Briefs $briefs,
        private WearSheets $wears,
        private Marks $marks,
        private Helpers $helpers,
        private CatalogueStore $catalogue,
    ) {
    }

    /** @param \DateTimeImmutable $day in the client's zone */
    public function of(Client $client, Week $week, \DateTimeImmutable $day): KeptHome
    {
        $routine = $this->plans->routine($client);

        return new KeptHome(
            $this->reached($client),
            null === $routine ? [] : self::week($week, $routine->id),
            $this->short($client, $day),
            $this->worn($client),
            helpers: $this->helped($client, $day),
            signs: array_map(
                static fn (array $rule): string => $rule['when'].': '.$rule['do'].'.',
                $this->catalogue->get()->screening->stopRules,
            ),
        );
    }

    /** @return list<KeptDose> the highest of each ladder and hand that was held, and that nothing bars today */
    private function reached(Client $client): array
    {
        $log = $this->sittings->log($client);
        $door = $this->briefs->door($client, RoutineKind::Home);
        $planned = [];
        foreach ($this->plan->items($client) as $of) {
            $planned[$of->key()] = self::nameOf($of);
        }
        $highest = [];
        foreach ($this->sittings->everDone($client) as $key) {
            $item = ItemKey::fromText($key);
            if (null === $item || !$this->catalogue->get()->hasRung($item->rungId)) {
                continue;
            }
            $rung = $this->catalogue->get()->rung($item->rungId);
            $ladder = $this->catalogue->get()->ladderOf($rung->id);
            $place = $ladder->key.'|'.$item->hands->value;
            $height = $ladder->positionOf($rung->id) ?? 0;
            $held = self::held($log, $key);
            if (
                \count($held) >= self::HELD_DAYS
                && $height >= ($highest[$place]['height'] ?? -1)
                && null === $door->closes($rung, $item->hands)
            ) {
                $highest[$place] = ['height' => $height, 'kept' => new KeptDose(
                    $planned[$key] ?? $rung->name,
                    lcfirst($item->hands->label()),
                    PlainDose::of($held[\count($held) - 1]->dose),
                    self::factsOf($held),
                    heldDays: \count($held),
                )];
            }
        }

        return array_column(array_values($this->inOrder($highest)), 'kept');
    }

    /**
     * @param array<string, array{height: int, kept: KeptDose}> $highest by `ladder|hands`
     *
     * @return array<string, array{height: int, kept: KeptDose}> in the order of the ladders, a clinic's own at the end
     */
    private function inOrder(array $highest): array
    {
        $order = array_flip(array_map(
            static fn (Ladder $l): string => $l->key,
            $this->catalogue->get()->ladders(),
        ));
        $placeOf = static fn (string $key): int => $order[explode('|', $key)[0]] ?? \PHP_INT_MAX;
        uksort($highest, static fn (string $a, string $b): int => $placeOf($a) <=> $placeOf($b));

        return $highest;
    }

    /** @return list<LogLine> that were done in full, one of each day that brought no symptom, oldest first */
    private static function held(SittingLog $log, string $key): array
    {
        $lines = array_values(array_filter(
            $log->lines,
            static fn (LogLine $l): bool => $l->itemKey() === $key,
        ));
        $held = [];
        foreach ($lines as $line) {
            if ($line->metTarget()) {
                $held[$line->day->format('Y-m-d')] = $line;
            }
        }
        foreach (Strip::ofLines($lines)->days as $day) {
            if ($day->isSymptom) {
                unset($held[$day->day->format('Y-m-d')]);
            }
        }

        return array_values($held);
    }

    /**
     * @param non-empty-list<LogLine> $held
     *
     * @return non-empty-list<Fact> where it was held last
     */
    private static function factsOf(array $held): array
    {
        $last = $held[\count($held) - 1];
        $before = \array_slice($held, -self::FACTS, -1);

        return array_map(
            static fn (LogLine $l): Fact => new Fact(FactKind::Sitting, $l->sittingId),
            [...$before, $last],
        );
    }

    /** @return list<KeptDay> */
    private static function week(Week $week, string $routineId): array
    {
        $most = max(0, ...array_map(static fn (PlannedDay $d): int => \count($d->items), $week->days));
        $kept = [];
        foreach ($week->days as $planned) {
            if ([] !== $planned->items && [] !== $planned->slots) {
                $isAll = null === $planned->list && \count($planned->items) === $most;
                $kept[] = new KeptDay(
                    (int) $planned->day->format('N'),
                    array_map(static fn (Slot $s): string => $s->label(), $planned->slots),
                    $planned->minutes(),
                    $isAll ? [] : self::names($planned->items),
                    routineId: $routineId,
                );
            }
        }

        return $kept;
    }

    /** A daily task by what it is about. */
    private static function nameOf(Item $item): Phrase|string
    {
        $task = $item->variant->with['task'] ?? null;
        $part = $item->variant->with['words'] ?? null;

        return $item->rung->plays(RungPart::CarriesTask) && \is_string($task) && \is_string($part)
            ? new Phrase('discharge.task', ['task' => $task, 'part' => lcfirst($part)])
            : $item->rung->name;
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Phrase|string>
     */
    private static function names(array $items): array
    {
        return array_values(array_map(
            self::nameOf(...),
            array_filter($items, static fn (Item $i): bool => !$i->isPause),
        ));
    }

    /** @return list<KeptDose> */
    private function short(Client $client, \DateTimeImmutable $day): array
    {
        $routine = $this->plans->routine($client, RoutineKind::Short) ?? $this->plans->routine($client);

        return null === $routine ? [] : array_map(static fn (Item $i): KeptDose => new KeptDose(
            self::nameOf($i),
            lcfirst($i->hands->label()),
            PlainDose::of($i->dose),
            [new Fact(FactKind::Routine, $routine->id)],
        ), $this->items->short($client, $day));
    }

    /** @return list<KeptWear> what may be worn as it stands */
    private function worn(Client $client): array
    {
        return array_values(array_map(
            static fn (WearSheet $sheet): KeptWear => new KeptWear(
                $sheet->plan->id,
                $sheet->plan->worn,
                $sheet->plan->side,
                $sheet->plan->when,
                time: $sheet->plan->wears(),
                fitDueOn: $sheet->fitDueOn,
            ),
            array_filter(
                $this->wears->of($client),
                static fn (WearSheet $sheet): bool => [] === $sheet->why && !$sheet->isHeld,
            ),
        ));
    }

    /** @return list<KeptHelp> by helper and last day, the nearest first */
    private function helped(Client $client, \DateTimeImmutable $day): array
    {
        $names = array_map(static fn (Helper $h): string => $h->name, $this->helpers->there($client));
        $by = [];
        foreach ($this->marks->signed($client, $day) as $signed) {
            if (isset($names[$signed->helperId])) {
                $by[$signed->helperId.'|'.$signed->until->format('Y-m-d')][] = $signed;
            }
        }

        return array_values(array_map(fn (array $of): KeptHelp => new KeptHelp(
            $names[$of[0]->helperId],
            array_values(array_unique(array_map(
                fn (SignOff $s): string => $this->catalogue->get()->nameOf($s->rungId),
                $of,
            ))),
            $of[0]->until,
            array_map(static fn (SignOff $s): string => $s->id, $of),
        ), $by));
    }
}
