<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Planning\ApprovedRung;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\PlacementOverride;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionAnswer;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Web\Wording;

/** Puts what a made-up client has lived through into the records of the clinic. Days count back from today. */
final readonly class DemoHistory
{
    public function __construct(
        private EntityManagerInterface $entities,
        private CatalogueStore $catalogue,
        private DemoAlerts $alerts,
        private Wording $wording,
    ) {
    }

    /** @param string $runBy staff who ran the sittings */
    public function load(
        Node $lived,
        Client $client,
        string $therapistId,
        string $runBy,
        \DateTimeImmutable $now,
    ): void {
        $client->minutes = $lived->get('minutes')->int();
        $shift = new DemoDays(
            $lived->get('today')->date(),
            $now,
        );
        foreach ($lived->get('days')->items() as $day) {
            $at = $now->modify('-'.$day->get('ago')->int().' days')->setTime(
                7,
                30,
            );
            foreach ($day->optional('doses')?->items() ?? [] as $dose) {
                $this->dose($dose, $client, $therapistId, $at);
            }
            foreach ($day->optional('decided')?->items() ?? [] as $decided) {
                $this->decision(
                    $decided,
                    $client,
                    $therapistId,
                    $at,
                    shift: $shift,
                );
            }
            foreach ($day->optional('sittings')?->items() ?? [] as $sitting) {
                $this->sitting($sitting, $client, $runBy, $at);
            }
        }
        $this->alerts->load($lived, $client, $therapistId, $now);
        $this->entities->flush();
    }

    /** The routine as it stands at the end of what was lived. */
    public function routine(Node $lived, Client $client, string $therapistId, \DateTimeImmutable $now): void
    {
        $routine = SavedRoutine::byHand(
            $client,
            RoutineKind::Home,
            $therapistId,
            $now->modify('-7 days'),
        );
        $routine->items = array_map(
            static fn (Node $n): array => self::map($n),
            $lived->get('routine')->items(),
        );
        $this->entities->persist($routine);
    }

    private function dose(Node $dose, Client $client, string $byId, \DateTimeImmutable $at): void
    {
        $proposal = $dose->get('proposal')->string();
        $this->entities->persist(new PrescribedDose(
            $client->clinicId,
            $client->id,
            $dose->get('key')->string(),
            self::map($dose->get('dose')),
            byStaffId: $byId,
            at: $at->modify('+1 minute'),
            source: '' === $proposal ? DoseSource::Start : DoseSource::Decision,
            proposalKey: $proposal,
        ));
    }

    private function decision(
        Node $decided,
        Client $client,
        string $byId,
        \DateTimeImmutable $at,
        DemoDays $shift,
    ): void {
        $by = Actor::staff($byId);
        $kind = $decided->get('kind')->enum(ProposalKind::class);
        $why = $shift->moved(
            $decided->get('why')->raw(),
        );
        $this->entities->persist(new Decision(
            $client->clinicId,
            $client->id,
            $decided->get('key')->string(),
            $kind->value,
            why: $why,
            answer: DecisionAnswer::Accepted,
            note: '',
            actorKind: $by->kind,
            actorId: $by->id,
            at: $at,
        ));
        if (ProposalKind::NextRung === $kind || ProposalKind::RungBelow === $kind) {
            $this->moveOn(
                $decided,
                $kind,
                $client,
                $byId,
                at: $at,
                why: $why,
            );
        }
    }

    /** @param array<string, mixed>|string $why */
    private function moveOn(
        Node $decided,
        ProposalKind $kind,
        Client $client,
        string $byId,
        \DateTimeImmutable $at,
        array|string $why,
    ): void {
        $rungId = $decided->get('rung')->string();
        foreach (RungOnSide::forHands($rungId, $decided->get('hands')->enum(Hands::class)) as $on) {
            $to = $decided->optional('to')?->string();
            if (ProposalKind::NextRung === $kind) {
                $this->entities->persist(new ApprovedRung(
                    $client->clinicId,
                    $client->id,
                    $on->rungId,
                    $on->side,
                    byStaffId: $byId,
                    at: $at,
                ));
            } elseif (null !== $to && \in_array($on->side, $client->affected(), true)) {
                $this->entities->persist(new PlacementOverride(
                    $client->clinicId,
                    $client->id,
                    $this->catalogue->get()->ladderOf($to)->key,
                    $on->side,
                    rungId: $to,
                    note: mb_substr(
                        $this->wording->say(PhraseFormat::read(Node::root($why))),
                        0,
                        300,
                    ),
                    byStaffId: $byId,
                    at: $at,
                ));
            }
        }
    }

    private function sitting(Node $told, Client $client, string $byId, \DateTimeImmutable $at): void
    {
        $time = EventTime::now($at, $client->zone);
        $by = Actor::staff($byId);
        $lines = $told->get('lines')->items();
        $pain = ($lines[0] ?? null)?->get('told')->optional('pain_before')?->int();
        $sitting = new Sitting(
            $client,
            $time->day,
            $pain,
            actor: $by,
            startedAt: $at,
        );
        $sitting->finishedAt = $at->modify('+22 minutes');
        $this->entities->persist($sitting);
        $this->entities->persist(SittingEvent::noted(
            $sitting,
            null,
            EventKind::Begun,
            actor: $by,
            time: $time,
            body: ['pain_before' => $pain],
        ));
        foreach ($lines as $place => $line) {
            $item = SittingItem::from(
                $sitting,
                $place,
                $this->item($line),
                id: $line->get('id')->string(),
            );
            $event = SittingEvent::noted(
                $sitting,
                $item,
                EventKind::Line,
                actor: $by,
                time: EventTime::now(
                    $at->modify('+'.(2 * $place + 2).' minutes'),
                    $client->zone,
                ),
                body: self::map($line->get('told')),
            );
            $item->keep(
                Fold::item([$event->folded()]),
            );
            $this->entities->persist($item);
            $this->entities->persist($event);
        }
        $this->entities->persist(SittingEvent::noted(
            $sitting,
            null,
            EventKind::Finished,
            actor: $by,
            time: EventTime::now(
                $at->modify('+22 minutes'),
                $client->zone,
            ),
        ));
    }

    private function item(Node $line): Item
    {
        [$rungId, $hands] = explode(
            '|',
            $line->get('key')->string(),
        );

        return (new RoutineFormat($this->catalogue->get()))->read([[
            'rung' => $rungId,
            'hands' => $hands,
            'reason' => '',
            'dose' => self::map($line->get('dose')),
        ]])[0];
    }

    /** @return array<string, mixed> */
    private static function map(Node $node): array
    {
        return array_map(
            static fn (Node $n): mixed => $n->raw(),
            $node->map(),
        );
    }
}
