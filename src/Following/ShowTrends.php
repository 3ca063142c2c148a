<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Assessment\MeasuredChanges;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\KeptOfClient;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Progress\Adherence;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\LoggedTrend;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Wearing\Wears;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Twig\Markup;

/** What has moved over weeks: kept up, felt, given and reached, measured. */
#[Route('/clients/{client}/trends', name: 'following_trends', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowTrends extends AbstractController
{
    private const WEEKS = [6, 12, 26, 104];
    private const USUAL_WEEKS = 12;
    private const MOST_ITEMS = 4;
    private const MOST_MEASURES = 4;
    private const WINDOW_DAYS = 14;
    private const TASK_DAYS = 10;

    public function __construct(
        private readonly LoggedTrend $trend,
        private readonly SittingRepository $sittings,
        private readonly MeasuredChanges $changes,
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Periods $periods,
        private readonly Looks $looks,
        private readonly Wears $wears,
        private readonly DoseCharts $doses,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly KeptOfClient $kept,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $weeks = $request->query->getInt('weeks', self::USUAL_WEEKS);
        $weeks = \in_array($weeks, self::WEEKS, true) ? $weeks : self::USUAL_WEEKS;
        $asked = ItemKey::fromText((string) $request->query->get('item', ''))?->text() ?? '';

        return $this->render('Following/trends.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'weeks' => $weeks,
            'choices' => self::WEEKS,
            'asked' => $asked,
            'drawn' => $this->kept->get(
                'trends.'.$weeks.'.'.hash('xxh128', $asked),
                $client,
                fn (): Markup => $this->drawn($client, $weeks, $asked),
            ),
        ]);
    }

    /** Kept while nothing of the client changes: it reads months of log. */
    private function drawn(Client $client, int $weeks, string $asked): Markup
    {
        $today = $this->clock->today($client->zone);
        $from = $today->modify('-'.(7 * $weeks - 1).' days');
        $days = $this->trend->days($client, $from);
        $time = new Timeline(
            $from,
            $today,
            $this->periods->of($client, $days, $from, $today),
        );
        $charts = new WorkCharts($time);
        $items = Prescribed::in(
            $this->plan->items($client),
        );
        $adherence = $this->adherence($client, $items, $today);

        return new Markup($this->renderView('Following/_trends.html.twig', [
            'weeks' => $weeks,
            'days' => $days,
            'keptUp' => $charts->keptUp($days, $client->daysPerWeek),
            'pain' => $charts->pain($days),
            'felt' => $this->felt($client, $charts, $from),
            'worn' => $this->worn($client, $charts, $from),
            'adherence' => $adherence,
            'reasons' => Adherence::reasonsOf($adherence),
            'items' => $this->names($client),
            'asked' => $asked,
            'drawn' => $this->charts(
                $client,
                $asked,
                $items,
                $charts,
                from: $from,
            ),
            'tasks' => $this->tasks($client, $items),
            'measures' => $this->changes->since($client, $from, self::MOST_MEASURES),
        ]), 'UTF-8');
    }

    /**
     * Daily tasks of the routine, with how they went.
     *
     * @param list<Prescribed> $items
     *
     * @return list<array{name: string, strip: Strip}>
     */
    private function tasks(Client $client, array $items): array
    {
        $tasks = [];
        foreach ($items as $item) {
            if ($item->rung->plays(RungPart::CarriesTask)) {
                $strip = Strip::of($item->key(), $this->sittings->log($client), self::TASK_DAYS);
                $tasks[] = ['name' => $item->rung->name, 'strip' => $strip];
            }
        }

        return array_values(array_filter($tasks, static fn (array $t): bool => !$t['strip']->isEmpty()));
    }

    /** Null: nobody was asked in this time. */
    private function felt(Client $client, WorkCharts $charts, \DateTimeImmutable $from): ?Chart
    {
        $asked = array_filter(
            $this->looks->reviews($client),
            static fn (BlockReview $r): bool => $r->at >= $from && (null !== $r->ease || null !== $r->content),
        );

        return [] === $asked ? null : $charts->felt(array_reverse(array_values($asked)), $client->zone);
    }

    /** @return list<Chart> one for each thing that is worn on a hand */
    private function worn(Client $client, WorkCharts $charts, \DateTimeImmutable $from): array
    {
        $plans = $wears = [];
        foreach ($this->wears->plansSince($client, $from) as $plan) {
            $plans[$plan->worn->value.'|'.$plan->side->value][] = $plan;
        }
        foreach ([] === $plans ? [] : $this->wears->since($client, $from) as $wear) {
            $wears[$wear->worn->value.'|'.$wear->side->value][] = $wear;
        }

        return array_map(
            static fn (array $of, string $key): Chart => $charts->worn($of, $wears[$key] ?? []),
            $plans,
            array_keys($plans),
        );
    }

    /**
     * @param list<Prescribed> $items
     *
     * @return list<Adherence>
     */
    private function adherence(Client $client, array $items, \DateTimeImmutable $today): array
    {
        return Adherence::of(
            $items,
            $this->sittings->log($client),
            $client->daysPerWeek,
            since: $today->modify('-'.self::WINDOW_DAYS.' days'),
            today: $today,
            suspended: array_map(
                static fn (Suspension $s): string => $s->itemKey,
                $this->plans->suspensions($client),
            ),
        );
    }

    /** @return array<string, string> of everything that was ever done, by item key */
    private function names(Client $client): array
    {
        $names = [];
        foreach ($this->sittings->everDone($client) as $key) {
            $item = ItemKey::fromText($key);
            if (null !== $item) {
                $names[$key] = $this->catalogue->get()->nameOf($item->rungId).', '.$item->hands->label();
            }
        }
        asort($names);

        return $names;
    }

    /**
     * What was asked for, or what moves most: items that a dose was set for oftenest.
     *
     * @param list<Prescribed> $items
     *
     * @return list<array{chart: Chart, key: string}>
     */
    private function charts(
        Client $client,
        string $asked,
        array $items,
        WorkCharts $charts,
        \DateTimeImmutable $from,
    ): array {
        $histories = $this->plans->doseHistories($client);
        $keys = '' === $asked ? self::moving($items, array_map(\count(...), $histories)) : [$asked];
        $drawn = [];
        foreach (\array_slice($keys, 0, self::MOST_ITEMS) as $key) {
            $chart = $this->doses->of($client, $key, $histories[$key] ?? [], $charts, from: $from);
            if (null !== $chart) {
                $drawn[] = ['chart' => $chart, 'key' => $key];
            }
        }

        return $drawn;
    }

    /**
     * @param list<Prescribed>   $items
     * @param array<string, int> $steps how often a dose was set, by item key
     *
     * @return list<string> item keys whose dose can move, that which moved most first
     */
    private static function moving(array $items, array $steps): array
    {
        $moving = array_values(array_filter($items, static function (Prescribed $p): bool {
            $range = $p->rung->dosing->range;

            return $range->holdSeconds[1] > $range->holdSeconds[0]
                || $range->repetitions[1] > $range->repetitions[0];
        }));
        usort(
            $moving,
            static fn (Prescribed $a, Prescribed $b): int => ($steps[$b->key()] ?? 0) <=> ($steps[$a->key()] ?? 0),
        );

        return array_map(
            static fn (Prescribed $p): string => $p->key(),
            $moving,
        );
    }
}
