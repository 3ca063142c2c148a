<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\ClinicSettings;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Sitting\Consequence;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\StopTable;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;

/** How a class is going: what the wall shows, what was told at each place, who is called where, whether all stands. */
final readonly class RunState
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Classes $classes,
        private ClinicSettings $settings,
    ) {
    }

    public function of(ClassRun $run): Going
    {
        $places = $this->classes->places($run);
        $wrongs = $this->wrongs($run, $places);
        $items = $this->bySitting(SittingItem::class, $places, []);
        $rows = array_map(static fn (RunPlace $place): GoingPlace => new GoingPlace(
            $place,
            $items[$place->sittingId] ?? [],
            isCalled: self::isAny(
                $wrongs[$place->sittingId] ?? [],
                $place->cameAt,
                static fn (): bool => true,
            ),
            hasEnded: self::isAny(
                $wrongs[$place->sittingId] ?? [],
                null,
                static fn (Consequence $c): bool => $c->stops->endsTheSitting(),
            ),
        ), $places);

        return new Going($run, $rows, self::stops($run, $wrongs));
    }

    /** An emergency at one of the places, and no therapist has let it go on since. */
    public function isStopped(ClassRun $run): bool
    {
        return self::stops($run, $this->wrongs($run, $this->classes->places($run)));
    }

    /** @param array<string, list<array{SittingEvent, Consequence}>> $wrongs */
    private static function stops(ClassRun $run, array $wrongs): bool
    {
        return self::isAny(
            array_merge(...array_values($wrongs)),
            $run->wentOnAt,
            static fn (Consequence $c): bool => AlertKind::Emergency === $c->alert,
        );
    }

    /**
     * What was wrong, and what follows from it.
     *
     * @param list<RunPlace> $places
     *
     * @return array<string, list<array{SittingEvent, Consequence}>> by sitting
     */
    private function wrongs(ClassRun $run, array $places): array
    {
        $table = new StopTable($this->settings->of($run->clinicId)->progress());

        return array_map(static fn (array $events): array => array_map(
            static fn (SittingEvent $e): array => [$e, EventFormat::wrong($e->body)->consequence($table)],
            $events,
        ), $this->bySitting(SittingEvent::class, $places, ['kind' => EventKind::Wrong]));
    }

    /**
     * @param list<array{SittingEvent, Consequence}> $told
     * @param ?\DateTimeImmutable                    $since null: ever
     * @param \Closure(Consequence): bool            $is
     */
    private static function isAny(array $told, ?\DateTimeImmutable $since, \Closure $is): bool
    {
        foreach ($told as [$event, $consequence]) {
            if ((null === $since || $event->receivedAt > $since) && $is($consequence)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @template T of SittingItem|SittingEvent
     *
     * @param class-string<T>      $class
     * @param list<RunPlace>       $places
     * @param array<string, mixed> $of
     *
     * @return array<string, list<T>>
     */
    private function bySitting(string $class, array $places, array $of): array
    {
        $found = [];
        $ids = array_map(static fn (RunPlace $p): string => $p->sittingId, $places);
        $order = SittingItem::class === $class ? ['place' => 'ASC'] : ['receivedAt' => 'ASC'];
        foreach ($this->entities->getRepository($class)->findBy(
            ['sittingId' => $ids] + $of,
            $order,
        ) as $one) {
            $found[$one->sittingId][] = $one;
        }

        return $found;
    }
}
