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
        $ids = array_map(static fn (RunPlace $p): string => $p->sittingId, $places);
        $items = $this->bySitting(SittingItem::class, $ids, []);
        $wrongs = $this->bySitting(SittingEvent::class, $ids, ['kind' => EventKind::Wrong]);
        $table = new StopTable($this->settings->of($run->clinicId)->progress());
        $rows = [];
        $isStopped = false;
        foreach ($places as $place) {
            $told = array_map(
                static fn (SittingEvent $e): array => [$e, EventFormat::wrong($e->body)->consequence(
                    $table,
                )],
                $wrongs[$place->sittingId] ?? [],
            );
            $rows[] = new GoingPlace(
                $place,
                $items[$place->sittingId] ?? [],
                isCalled: self::isAny($told, $place->cameAt, static fn (): bool => true),
                hasEnded: self::isAny(
                    $told,
                    null,
                    static fn (Consequence $c): bool => $c->stops->endsTheSitting(),
                ),
            );
            $isStopped = $isStopped || self::isAny(
                $told,
                $run->wentOnAt,
                static fn (Consequence $c): bool => AlertKind::Emergency === $c->alert,
            );
        }

        return new Going($run, $rows, $isStopped);
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
     * @param list<string>         $ids
     * @param array<string, mixed> $of
     *
     * @return array<string, list<T>>
     */
    private function bySitting(string $class, array $ids, array $of): array
    {
        $found = [];
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
