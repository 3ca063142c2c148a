<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Data\Dates;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/** What stands around the body of an event: its name, its device, its item, its time. */
final readonly class Envelope
{
    /** What a page can have counted without being opened anew: a year. */
    private const OLDEST_SECONDS = 31_536_000;

    public function __construct(
        private Clock $clock,
    ) {
    }

    /** @throws InvalidData */
    public static function uuid(Node $node): string
    {
        $id = mb_strtolower($node->string());

        return Uuid::isValid($id) ? $id : throw $node->fail('is not a UUID');
    }

    /** @throws InvalidData */
    public static function device(Node $node): ?string
    {
        return null === $node->optional('device') ? null : self::uuid($node->get('device'));
    }

    /**
     * @param list<SittingItem> $items of the sitting
     * @param Node              $named its id; or its place, of a sitting that was begun before it was kept here
     *
     * @throws InvalidData
     */
    public static function item(array $items, Node $named): SittingItem
    {
        $id = $named->string();
        foreach ($items as $item) {
            if ($item->id === $id || (string) $item->place === $id) {
                return $item;
            }
        }
        throw $named->fail('is not an item of this sitting');
    }

    /**
     * What waited without a network keeps the time at which it was made.
     *
     * @param ?Node  $at   by the clock of the device; null: now
     * @param ?Node  $sent what that clock showed as it was sent
     * @param string $zone of the client
     * @param ?Node  $age  in seconds, by a clock that nobody sets; null: not told
     *
     * @throws InvalidData
     */
    public function time(?Node $at, ?Node $sent, string $zone, ?Node $age = null): EventTime
    {
        $now = $this->clock->now();

        if (null === $at) {
            return EventTime::now($now, $zone);
        }

        return EventTime::told(
            self::instant($at),
            null === $sent ? null : self::instant($sent),
            $now,
            $zone,
            ageSeconds: $age?->int(0, self::OLDEST_SECONDS),
        );
    }

    /** @throws InvalidData */
    private static function instant(Node $node): \DateTimeImmutable
    {
        return Dates::instant($node->string())
            ?? throw $node->fail('is not a time such as 2026-11-24T09:30:00Z');
    }
}
