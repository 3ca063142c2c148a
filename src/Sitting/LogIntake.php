<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Clock;

/** Takes one line of an item, as a form or a page of earlier days tells it. */
final readonly class LogIntake
{
    /** Why a line takes the place of an earlier one, once its day is over. */
    public const WHY = 'why';
    private const WHY_LETTERS = 300;
    private const ENVELOPE = [
        'id',
        'item',
        'device',
        'seq',
        'device_at',
        'sent_at',
    ];

    public function __construct(
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
        private EventIntake $intake,
        private Envelope $envelope,
        private Clock $clock,
    ) {
    }

    /**
     * @throws InvalidData    naming the field
     * @throws DifferentBody
     */
    public function take(Sitting $sitting, Client $client, Node $line, Actor $actor): SittingEvent
    {
        $line->only(
            ...self::ENVELOPE,
            ...LogFormat::BODY,
            ...[self::WHY],
        );
        $items = $this->sittings->items($sitting);
        $item = $this->item(
            $items,
            $line->get('item'),
        );
        $told = LogFormat::toldOf(
            $this->catalogue->get()->rung($item->rungId),
            $line,
        );
        $why = $line->optional(self::WHY)?->text(self::WHY_LETTERS) ?? '';
        $isTyped = null === $line->optional('device');
        if ('' === $why && $isTyped && $this->isMendedLater($sitting, $item, $client)) {
            throw InvalidData::at('why', 'say why it is corrected');
        }

        return $this->intake->take($sitting, $items, $client, new Incoming(
            Envelope::uuid($line->get('id')),
            $item,
            EventKind::Line,
            LogFormat::write($told) + ('' === $why ? [] : [self::WHY => $why]),
            hash: SittingEvent::hash(
                $sitting->id,
                $line->get('item')->scalarText(),
                self::bodyOf($line),
            ),
            time: $this->envelope->time(
                $line->optional('device_at'),
                $line->optional('sent_at'),
                $client->zone,
            ),
            device: Envelope::device($line),
            seq: $line->optional('seq')?->int(0),
        ), actor: $actor);
    }

    /** On its own day a line is told anew; afterwards it is corrected, and that has a reason. */
    private function isMendedLater(Sitting $sitting, SittingItem $item, Client $client): bool
    {
        return null !== $item->told && $sitting->day < $this->clock->today($client->zone);
    }

    /**
     * An item is named by its id. A page that was opened before items had ids names it by where it stands among the
     * exercises that the catalogue has.
     *
     * @param list<SittingItem> $items of the sitting
     *
     * @throws InvalidData
     */
    private function item(array $items, Node $named): SittingItem
    {
        if (!\is_int($named->raw())) {
            return Envelope::item($items, $named);
        }
        $known = array_values(array_filter(
            $items,
            fn (SittingItem $i): bool => $this->catalogue->get()->hasRung($i->rungId),
        ));

        return $known[$named->int(
            0,
            max(0, \count($known) - 1),
        )]
            ?? throw $named->fail('is not an item of this sitting');
    }

    /** @return array<string, mixed> in one order, so that the same content has the same hash */
    private static function bodyOf(Node $line): array
    {
        $body = [];
        foreach (LogFormat::BODY as $key) {
            $value = $line->optional($key)?->raw();
            if (null !== $value) {
                $body[$key] = $value;
            }
        }

        return $body;
    }
}
