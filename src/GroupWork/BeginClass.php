<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\ClinicSettings;
use HandGarden\Account\Who;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\GroupWork\PlaceItem;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Routine\Item;
use HandGarden\Planning\Plan;
use HandGarden\Sitting\BeginSitting;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\LatePain;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** Begins a class: a sitting of each who is there, by their own card, and what the wall plays. */
final readonly class BeginClass
{
    public function __construct(
        private Classes $classes,
        private ClassPlan $plan,
        private Wall $wall,
        private BeginSitting $begin,
        private SittingRepository $sittings,
        private LatePain $latePain,
        private ClinicSettings $settings,
        private Plan $plans,
        private Who $who,
        private Clock $clock,
        private Wording $wording,
    ) {
    }

    /** @param non-empty-list<Present> $present */
    public function with(HandClass $class, array $present): ClassRun
    {
        $symptoms = new Symptoms($this->settings->of($class->clinicId)->progress());
        $cards = [];
        foreach ($present as $one) {
            $this->hearOfLastTime($one);
            $cards[$one->member->number] = $this->plan->card(
                $class,
                $one->member->client,
                $symptoms->forbidsActiveWork($one->pain),
            );
        }
        $rungs = $this->plan->rungs($class);
        $run = new ClassRun(
            $class,
            $this->who->actor(),
            array_map(static fn (Rung $r): string => $r->name, $rungs),
            $this->clock->now(),
        );
        $this->classes->keep($run, new RunWall($run->id, $this->wall->of(
            $rungs,
            $cards,
            array_map(fn (Present $p) => $this->plans->worseSide($p->member->client), $present),
            random_int(0, 0x7FFFFFFF),
        )));
        foreach ($present as $one) {
            $card = $cards[$one->member->number];
            $sitting = $this->sitting($one, $card, $rungs);
            $this->classes->keep(
                new RunPlace($run, $one->member->number, $sitting, CardFormat::write($card)),
            );
        }

        return $run;
    }

    private function hearOfLastTime(Present $one): void
    {
        $client = $one->member->client;
        if ($one->hurtLater) {
            $this->latePain->of(
                $client,
                $this->sittings->lastLogged($client),
                '',
                EventTime::now($this->clock->now(), $client->zone),
            );
        }
    }

    /**
     * @param list<PlaceItem> $card
     * @param list<Rung>      $rungs
     */
    private function sitting(Present $one, array $card, array $rungs): Sitting
    {
        $client = $one->member->client;
        $sitting = $this->begin->now($client, $one->pain);
        $sitting->inClass = true;
        $sitting->unaided = !$one->member->isOneToOne;
        $this->begin->keep(
            $sitting,
            $client,
            array_values(array_filter(array_map(static fn (PlaceItem $i): ?Item => $i->item, $card))),
            $this->plans->worseSide($client),
            more: fn (array $ids): array => ['led' => [
                'number' => $one->member->number,
                'list' => $this->led($card, $rungs, $ids),
            ]],
        );

        return $sitting;
    }

    /**
     * What the place does with each exercise of the wall, as its own screen says it.
     *
     * @param list<PlaceItem> $card
     * @param list<Rung>      $rungs
     * @param list<string>    $ids   of the items of its sitting
     *
     * @return list<array{item: ?string, name: string, why: string}>
     */
    private function led(array $card, array $rungs, array $ids): array
    {
        $list = [];
        foreach ($card as $nth => $one) {
            $list[] = [
                'item' => null === $one->item ? null : array_shift($ids),
                'name' => $rungs[$nth]->name,
                'why' => null === $one->why ? '' : $this->wording->sentence($one->why),
            ];
        }

        return $list;
    }
}
