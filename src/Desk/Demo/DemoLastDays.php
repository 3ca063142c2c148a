<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\SittingDefaults;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\Prescribing;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Web\Clock;

/** The last days of a story, where it wants them exactly so: told by hand, after the weeks that were lived. */
final readonly class DemoLastDays
{
    private const BEGIN = '-14 days';

    public function __construct(
        private EntityManagerInterface $entities,
        private CatalogueStore $catalogue,
        private Plan $plan,
        private PlanRepository $plans,
    ) {
    }

    public function load(
        Node $story,
        Client $client,
        Staff $therapist,
        Staff $runBy,
        \DateTimeImmutable $now,
    ): void {
        $items = $this->routine($story, $client, $therapist, Clock::dayOf($now, $client->zone), now: $now);
        $this->sittings($story->get('sittings'), $client, $items, $runBy, now: $now);
    }

    /** @return list<Item> */
    private function routine(
        Node $story,
        Client $client,
        Staff $staff,
        \DateTimeImmutable $today,
        \DateTimeImmutable $now,
    ): array {
        $catalogue = $this->catalogue->get();
        foreach ($story->get('doses')->map() as $key => $dose) {
            $start = $catalogue->rung(ItemKey::fromText($key)->rungId ?? '')->dosing->start;
            $this->entities->persist(
                new PrescribedDose(
                    $client->clinicId,
                    $client->id,
                    $key,
                    DoseFormat::write(DoseFormat::read($dose, $start)),
                    byStaffId: $staff->id,
                    at: $now->modify(self::BEGIN),
                    source: DoseSource::Therapist,
                ),
            );
        }
        $this->entities->flush();
        $this->plan->reset();
        $routine = (new Builder($catalogue))->build(
            new Brief(
                $this->plan->placements($client),
                $this->plan->facts($client),
                Goals::chosen($catalogue->goals, $client->goals),
                RoutineKind::Home->limits($client, new SittingDefaults()),
                today: $today,
                doses: $this->plans->doses($client),
            ),
        );
        $this->entities->persist(
            SavedRoutine::suggested(
                $routine,
                $client,
                RoutineKind::Home,
                $staff->id,
                at: $now->modify(self::BEGIN),
            ),
        );

        $this->entities->flush();
        $this->plans->prescribeNew(
            $client,
            $routine->sequence->items,
            new Prescribing($staff->id, $now->modify(self::BEGIN)),
        );

        return $routine->sequence->items;
    }

    /**
     * @param list<Item> $items
     */
    private function sittings(
        Node $node,
        Client $client,
        array $items,
        Staff $staff,
        \DateTimeImmutable $now,
    ): void {
        foreach ($node->items() as $sitting) {
            $daysAgo = $sitting->get('days_ago')->int();
            $at = $now->modify('-'.$daysAgo.' days')->setTime(
                8,
                30,
            );
            $day = Clock::dayOf($at, $client->zone);
            $record = new Sitting(
                $client,
                $day,
                painBefore: $sitting->get('pain')->int(),
                actor: Actor::staff($staff->id),
                startedAt: $at,
            );
            $record->finishedAt = $at->modify('+25 minutes');
            $record->note = $sitting->optional('note')?->string() ?? '';
            $this->entities->persist($record);
            $this->entities->persist(
                $this->noted($record, EventKind::Begun, $at, $client),
            );
            $this->entities->persist(
                $this->noted(
                    $record,
                    EventKind::Finished,
                    $at->modify('+25 minutes'),
                    $client,
                ),
            );
            $special = $sitting->optional('items')?->map() ?? [];
            foreach ($items as $place => $item) {
                $this->line(
                    $record,
                    $place,
                    $item,
                    $sitting,
                    special: $special[$item->key()] ?? null,
                    time: EventTime::now(
                        $at->modify('+'.(2 * $place).' minutes'),
                        $client->zone,
                    ),
                );
            }
        }
    }

    private function line(
        Sitting $sitting,
        int $place,
        Item $item,
        Node $of,
        ?Node $special,
        EventTime $time,
    ): void {
        $pain = $of->get('pain')->int();
        $body = [
            'outcome' => 'done',
            'pain_before' => $pain,
            'pain_after' => $pain,
            'tone' => 'same',
            'help' => 'none',
            'fatigue' => $of->get('fatigue')->int(),
        ];
        foreach ($special?->map() ?? [] as $key => $value) {
            if ('dose' !== $key) {
                $body[$key] = $value->raw();
            }
        }
        $dose = DoseFormat::read(
            $special?->optional('dose'),
            $item->dose,
        );
        $planned = SittingItem::from(
            $sitting,
            $place,
            $item->withDose($dose),
        );
        $event = SittingEvent::noted(
            $sitting,
            $planned,
            EventKind::Line,
            actor: $sitting->actor(),
            time: $time,
            body: $body,
        );
        $planned->keep(
            Fold::item([$event->folded()]),
        );
        $this->entities->persist($planned);
        $this->entities->persist($event);
    }

    private function noted(
        Sitting $sitting,
        EventKind $kind,
        \DateTimeImmutable $at,
        Client $client,
    ): SittingEvent {
        $body = EventKind::Begun === $kind
            ? ['pain_before' => $sitting->painBefore]
            : ['note' => $sitting->note];

        return SittingEvent::noted(
            $sitting,
            null,
            $kind,
            actor: $sitting->actor(),
            time: EventTime::now($at, $client->zone),
            body: $body,
        );
    }
}
