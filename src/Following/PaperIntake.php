<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Client\Client;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Sitting\EventIntake;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Incoming;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/** Keeps a sitting from paper like any other: begun, a line of each exercise, finished, all on its day at noon. */
final readonly class PaperIntake
{
    public function __construct(
        private SittingRepository $sittings,
        private EventIntake $events,
        private Clock $clock,
    ) {
    }

    /**
     * @param list<Item> $items that were planned
     *
     * @throws InvalidData
     */
    public function take(Client $client, PaperForm $form, array $items, Actor $by): Sitting
    {
        $form->check(
            $this->clock->today($client->zone),
        );
        $done = array_values(array_filter(
            $items,
            static fn (Item $i): bool => isset($form->lines[$i->key()]),
        ));
        $bodies = [];
        foreach ($done as $item) {
            $line = Node::root(
                $form->lines[$item->key()],
                $item->rung->name,
            );
            $bodies[] = LogFormat::write(
                LogFormat::toldOf($item->rung, $line),
            );
        }
        if ([] === $bodies) {
            throw Node::root([])->fail('say of at least one exercise how it went');
        }
        $noon = new \DateTimeImmutable(
            $form->day?->format('Y-m-d').' 12:00',
            new \DateTimeZone($client->zone),
        );
        $time = EventTime::told(
            min($noon, $this->clock->now()),
            null,
            $this->clock->now(),
            $client->zone,
        );
        $sitting = new Sitting(
            $client,
            $time->day,
            $form->painBefore,
            actor: $by,
            startedAt: $time->at,
        );
        $sitting->fromPaper = true;
        $sitting->writtenBy = $form->writtenBy;
        $begun = SittingEvent::noted(
            $sitting,
            null,
            EventKind::Begun,
            actor: $by,
            time: $time,
            body: ['pain_before' => $form->painBefore],
        );
        $kept = $this->sittings->begin($sitting, $done, $begun);
        $this->events->takeAll(
            $sitting,
            $kept,
            $client,
            $this->told($sitting, $kept, $bodies, $time),
            actor: $by,
        );

        return $sitting;
    }

    /**
     * @param list<SittingItem>          $kept
     * @param list<array<string, mixed>> $bodies
     *
     * @return non-empty-list<Incoming>
     */
    private function told(Sitting $sitting, array $kept, array $bodies, EventTime $time): array
    {
        $told = [];
        foreach ($kept as $place => $item) {
            $body = $bodies[$place] + $sitting->saidBefore();
            $told[] = new Incoming(
                Uuid::v7()->toRfc4122(),
                $item,
                EventKind::Line,
                $body,
                hash: SittingEvent::hash(
                    $sitting->id,
                    $item->id,
                    $body,
                ),
                time: $time,
            );
        }
        $told[] = new Incoming(
            Uuid::v7()->toRfc4122(),
            null,
            EventKind::Finished,
            [],
            hash: SittingEvent::hash(
                $sitting->id,
                '',
                [],
            ),
            time: $time,
        );

        return $told;
    }
}
