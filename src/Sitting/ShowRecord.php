<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\StaffNames;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Sitting\EventKind;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The record of a sitting: what was planned, what was done, what was said, by whom, corrected how. */
#[Route('/sittings/{sitting}/record', name: 'sitting_record', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowRecord extends AbstractController
{
    /** Seconds after which something has waited for a network. */
    private const LATE = 600;

    public function __construct(
        private readonly SittingRepository $sittings,
        private readonly EventStore $events,
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly StaffNames $names,
        private readonly ToldWords $words,
        private readonly ReleaseWords $release,
        private readonly BeforeWords $before,
        private readonly Cautions $cautions,
    ) {
    }

    public function __invoke(Sitting $sitting): Response
    {
        $client = $this->clients->find(
            $sitting->clinicId,
            $sitting->clientId,
        )
            ?? throw $this->createNotFoundException();
        $events = $this->events->of($sitting);
        $planned = $this->sittings->plannedWords($sitting);
        $rows = [];
        foreach ($this->sittings->items($sitting) as $item) {
            $told = $item->said();
            $rows[$item->id] = [
                'name' => $planned[$item->id]['name'] ?? $this->catalogue->get()->nameOf($item->rungId),
                'hands' => $planned[$item->id]['hands'] ?? $item->hands->label(),
                'dose' => $planned[$item->id]['dose'] ?? '',
                'outcome' => $told?->outcome->value,
                'said' => null === $told ? [] : $this->words->of($told),
            ];
        }

        return $this->render('Sitting/record.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'sitting' => $sitting,
            'by' => $this->names->of(
                $sitting->clinicId,
                $sitting->actorId,
            ),
            'rows' => $rows,
            'before' => $this->before->of($events, $client),
            'after' => $this->after($events),
            'trail' => $this->trail($events, $rows, $client),
            'aside' => self::aside($events),
        ]);
    }

    /**
     * @param list<SittingEvent> $events
     *
     * @return array<string, mixed> what was told at the end; the last word counts
     */
    private function after(array $events): array
    {
        $after = [];
        foreach ($events as $event) {
            $after = EventKind::After === $event->kind ? $event->body + $after : $after;
        }

        return $after;
    }

    /**
     * @param list<SittingEvent>                  $events
     * @param array<string, array{name: string}> $rows
     *
     * @return list<array<string, mixed>> every act in the order in which it was done
     */
    private function trail(array $events, array $rows, Client $client): array
    {
        $zone = new \DateTimeZone($client->zone);
        $told = $trail = [];
        foreach ($events as $event) {
            $isLine = EventKind::Line === $event->kind && null !== $event->itemId;
            $trail[] = [
                'at' => $event->at->setTimezone($zone),
                'kind' => $event->kind->value,
                'item' => $rows[$event->itemId ?? '']['name'] ?? '',
                'by' => $this->names->of(
                    $event->clinicId,
                    $event->actorId,
                ),
                'said' => $isLine
                    ? $this->words->of(
                        LogFormat::kept($event->body),
                    )
                    : $this->release->of($event),
                'sign' => EventKind::Wrong === $event->kind ? EventFormat::wrong($event->body) : null,
                'why' => \is_string(
                    $event->body[LogIntake::WHY] ?? null,
                ) ? $event->body[LogIntake::WHY] : '',
                'corrects' => $isLine && \in_array($event->itemId, $told, true),
                'received' => self::cameLate($event)
                    ? $event->receivedAt->setTimezone($zone)
                    : null,
            ];
            if ($isLine) {
                $told[] = $event->itemId;
            }
        }

        return $trail;
    }

    /** @param list<SittingEvent> $events */
    private static function aside(array $events): int
    {
        $aside = SetAside::of($events);

        return \count(array_filter(
            $events,
            static fn (SittingEvent $e): bool => $aside->holds($e),
        ));
    }

    private static function cameLate(SittingEvent $event): bool
    {
        $waited = $event->receivedAt->getTimestamp() - $event->at->getTimestamp();

        return $waited > self::LATE;
    }
}
