<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\Who;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Sitting\EventIntake;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Incoming;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/**
 * All did as was shown: what nobody has told of yet is done, with no word of how. Who stopped is left out, and what is
 * told of one of them later counts instead.
 */
final readonly class MarkShown
{
    public function __construct(
        private SittingRepository $sittings,
        private EventIntake $intake,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /** @return int exercises that were marked */
    public function in(Going $going): int
    {
        $marked = 0;
        foreach ($going->places as $place) {
            $shown = array_filter(
                \array_slice($place->byExercise(), 0, $going->run->at + 1),
                static fn (?SittingItem $i): bool => null !== $i && null === $i->told,
            );
            $marked += $place->hasEnded ? 0 : $this->mark($place, array_values($shown));
        }

        return $marked;
    }

    /** @param list<?SittingItem> $items */
    private function mark(GoingPlace $place, array $items): int
    {
        [$sitting, $client] = $this->sittings->findToChange(
            $place->place->clinicId,
            $place->place->sittingId,
        )
            ?? [null, null];
        $items = array_values(array_filter($items));
        if (null === $sitting || null === $client || [] === $items) {
            return 0;
        }
        $body = LogFormat::write(new Told(Outcome::Done, asShown: true));
        $this->intake->takeAll($sitting, $place->items, $client, array_map(
            fn (SittingItem $item): Incoming => new Incoming(
                Uuid::v7()->toRfc4122(),
                $item,
                EventKind::Line,
                $body,
                hash: SittingEvent::hash($sitting->id, $item->id, $body),
                time: EventTime::now($this->clock->now(), $client->zone),
            ),
            $items,
        ), actor: Actor::staff($this->who->staff()->id));

        return \count($items);
    }
}
