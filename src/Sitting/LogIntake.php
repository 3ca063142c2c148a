<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Routine\Item;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/**
 * Takes one log line. The device names it with a UUID of its own: the same line twice is stored once, the same
 * name with
 * another body is refused.
 */
final readonly class LogIntake
{
    private const CLOCK_TOLERANCE_SECONDS = 600;

    public function __construct(
        private SittingRepository $sittings,
        private CatalogueStore $catalogue,
        private AfterLogging $afterLogging,
        private Clock $clock,
    ) {
    }

    /**
     * @throws InvalidData    naming the field
     * @throws DifferentBody
     */
    public function take(Sitting $sitting, Client $client, Node $line, string $staffId): LogEntry
    {
        $line->only('id', 'item', 'device_at', ...LogFormat::BODY);
        $id = mb_strtolower($line->get('id')->string());
        if (!Uuid::isValid($id)) {
            throw $line->get('id')->fail('is not a UUID');
        }
        $items = (new RoutineFormat($this->catalogue->get()))->read($sitting->items);
        $place = $line->get('item')->int(0, max(0, \count($items) - 1));
        $item = $items[$place] ?? throw $line->get('item')->fail('is not an item of this sitting');
        $body = self::bodyOf($line);
        $hash = hash('sha256', $sitting->id.'|'.$place.'|'.json_encode($body, \JSON_THROW_ON_ERROR));
        $existing = $this->sittings->entry($id);
        if (null !== $existing) {
            return $this->same($existing, $sitting, $hash);
        }
        $now = $this->clock->now();
        $deviceAt = self::deviceTime($line, $now);
        $off = abs($deviceAt->getTimestamp() - $now->getTimestamp()) > self::CLOCK_TOLERANCE_SECONDS
            && $deviceAt > $now;
        $day = Clock::dayOf($off ? $now : $deviceAt, $client->zone);
        $checked = $this->check($line, $id, $sitting, $item, day: $day);
        $entry = new LogEntry(
            $id,
            $sitting->clinicId,
            $sitting->clientId,
            $sitting->id,
            item: $place,
            rungId: $item->rung->id,
            hands: $item->hands,
            dose: DoseFormat::write($item->dose),
            body: $body,
            bodyHash: $hash,
            day: $day,
            clockOff: $off,
            deviceAt: $deviceAt,
            receivedAt: $now,
            byStaffId: $staffId,
        );
        try {
            $this->sittings->keep($entry);
        } catch (UniqueConstraintViolationException) {
            throw DifferentBody::meanwhile($id);
        }
        $this->afterLogging->line($client, $checked);

        return $entry;
    }

    private function same(LogEntry $existing, Sitting $sitting, string $hash): LogEntry
    {
        if ($existing->clinicId !== $sitting->clinicId || $existing->bodyHash !== $hash) {
            throw DifferentBody::of($existing->id);
        }

        return $existing;
    }

    private function check(
        Node $line,
        string $id,
        Sitting $sitting,
        Item $item,
        \DateTimeImmutable $day,
    ): LogLine {
        if (mb_strlen($line->optional('note')?->string() ?? '') > 2000) {
            throw $line->get('note')->fail('is longer than 2000 letters');
        }

        return LogFormat::body(
            $line,
            $id,
            $sitting->id,
            $item->rung->id,
            hands: $item->hands,
            dose: $item->dose,
            day: $day,
        );
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

    /** A line that waited without a network keeps the time at which it was made. */
    private static function deviceTime(Node $line, \DateTimeImmutable $now): \DateTimeImmutable
    {
        $text = $line->optional('device_at')?->string();
        if (null === $text) {
            return $now;
        }
        $time = \DateTimeImmutable::createFromFormat(
            str_contains($text, '.') ? \DATE_RFC3339_EXTENDED : \DATE_RFC3339,
            $text,
        );

        return false === $time
            ? throw $line->get('device_at')->fail('is not a time such as 2026-11-24T09:30:00Z')
            : $time->setTimezone(new \DateTimeZone('UTC'));
    }
}
