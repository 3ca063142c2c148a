<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\EventFormat;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Sitting\EventKind;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * Takes what a player has kept, as many events at a time as there are, whoever is signed in, or nobody. One that can
 * never be taken is named and does not stand before those behind it.
 */
#[Route('/played/events', name: 'sitting_events', methods: ['POST'], stateless: true)]
#[IsGranted('ROLE_PLAYER')]
final class TakeEvents extends AbstractController
{
    private const MOST = 200;

    public function __construct(
        private readonly SittingRepository $sittings,
        private readonly CatalogueStore $catalogue,
        private readonly EventIntake $intake,
        private readonly Envelope $envelope,
        private readonly UnbegunSittings $unbegun,
    ) {
    }

    public function __invoke(Request $request, #[CurrentUser] Player $player): JsonResponse
    {
        // what others are changing of the client is waited for
        $found = $this->sittings->findToChange($player->clinicId(), $player->sittingId());
        try {
            $batch = Node::fromJson($request->getContent());
            $batch->only('device', 'sent_at', 'events', 'plan', 'list');
            [$sitting, $client] = $found
                ?? $this->unbegun->begin($player, $batch)
                ?? throw $this->createNotFoundException();
            $events = $batch->get('events')->items();
            $device = Envelope::uuid($batch->get('device'));
            if (\count($events) > self::MOST) {
                throw $batch->get('events')->fail(\sprintf('are more than %d', self::MOST));
            }
        } catch (InvalidData $e) {
            return new JsonResponse(
                ['problem' => $e->getMessage()],
                JsonResponse::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        $items = $this->sittings->items($sitting);
        $told = $refused = [];
        foreach ($events as $event) {
            try {
                $told[] = $this->read(
                    $sitting,
                    $items,
                    $client,
                    $event,
                    sentAt: $batch->optional('sent_at'),
                    device: $device,
                );
            } catch (InvalidData $e) {
                $refused[] = ['id' => self::nameOf($event), 'problem' => $e->getMessage()];
            }
        }
        $kept = [] === $told
            ? []
            : $this->intake->takeAll($sitting, $items, $client, $told, actor: $player->actor());
        foreach ($told as $one) {
            if (!isset($kept[$one->id])) {
                $refused[] = ['id' => $one->id, 'problem' => DifferentBody::from($one->id)->getMessage()];
            }
        }

        return new JsonResponse(['kept' => array_keys($kept), 'refused' => $refused]);
    }

    /**
     * @param list<SittingItem> $items of the sitting
     *
     * @throws InvalidData
     */
    private function read(
        Sitting $sitting,
        array $items,
        Client $client,
        Node $event,
        ?Node $sentAt,
        string $device,
    ): Incoming {
        $event->only('id', 'seq', 'kind', 'item', 'at', 'age', 'body');
        $kind = $event->get('kind')->enum(EventKind::class);
        $item = null === $event->optional('item')
            ? null
            : Envelope::item($items, $event->get('item'));
        if (EventKind::Begun === $kind && ActorKind::Staff === $sitting->actorKind) {
            throw $event->fail('is told where a sitting begins: this one was begun in the clinic');
        }
        if (null === $item && $kind->needsAnItem()) {
            throw $event->fail('is of no item');
        }
        if (null !== $item && !$kind->isOfAnItem()) {
            throw $event->fail('is of the sitting, and not of an item');
        }
        $body = EventFormat::read(
            $kind,
            $event->get('body'),
            null === $item ? null : $this->catalogue->rung($item->rungId),
        );

        return new Incoming(
            Envelope::uuid($event->get('id')),
            $item,
            $kind,
            $body,
            hash: SittingEvent::hash($sitting->id, $kind->value.'|'.$item?->id, $body),
            time: $this->envelope->time(
                $event->optional('at'),
                $sentAt,
                $client->zone,
                age: $event->optional('age'),
            ),
            device: $device,
            seq: $event->get('seq')->int(0),
        );
    }

    private static function nameOf(Node $event): string
    {
        try {
            return $event->get('id')->string();
        } catch (InvalidData) {
            return '';
        }
    }
}
