<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Source;
use HandGarden\Web\Row;
use Symfony\Component\Uid\Uuid;

/** What was typed and not kept yet, by client and person. */
final readonly class Drafts
{
    /** Parts of the measuring form: measures, observations, try-outs, lists of which none of the rest was found. */
    public const PARTS = ['m', 'o', 't', 'none'];
    /** Part that no form writes: what a value was captured from, as `source:text`, and when, in milliseconds. */
    public const SOURCES = 's';

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $connection,
    ) {
    }

    public function for(Client $client, string $staffId): ?MeasureDraft
    {
        return $this->entities->getRepository(MeasureDraft::class)->findOneBy(
            ['clientId' => $client->id, 'clinicId' => $client->clinicId, 'staffId' => $staffId],
        );
    }

    /**
     * Lays what is on the page over what was typed on other pages before: a field that is there and empty was
     * emptied, unless
     * its value was captured from a device after the page was shown.
     *
     * @param array<mixed>                         $form
     * @param array<string, array<string, string>> $before
     *
     * @return array<string, array<string, string>>
     */
    public static function merged(array $form, array $before): array
    {
        $merged = $before;
        $seen = \is_string($form['seen'] ?? null) ? (int) $form['seen'] : \PHP_INT_MAX;
        foreach (self::PARTS as $part) {
            foreach (\is_array($form[$part] ?? null) ? $form[$part] : [] as $key => $value) {
                if (!\is_string($key)) {
                    continue; // no field of ours is called by a number
                }
                $text = \is_string($value) ? mb_substr(trim($value), 0, 60) : '';
                if (
                    '' === $text && 'm' === $part && self::capturedAt($before, $key) > $seen
                ) {
                    continue;
                }
                if ('' === $text) {
                    unset($merged[$part][$key]);
                } else {
                    $merged[$part][$key] = $text;
                }
            }
        }

        return array_filter($merged, static fn (array $values): bool => [] !== $values);
    }

    /**
     * Values captured from a device, with their source; typing over one makes it a typed one.
     *
     * @param array<string, array<string, string>> $typed
     */
    public static function source(array $typed, string $key): ?Source
    {
        [$source, $text] = explode(':', $typed[self::SOURCES][$key] ?? ':') + ['', ''];

        return '' !== $text && explode('@', $text)[0] === ($typed['m'][$key] ?? '')
            ? Source::tryFrom($source)
            : null;
    }

    /** @param array<string, array<string, string>> $typed */
    private static function capturedAt(array $typed, string $key): int
    {
        return (int) (explode('@', $typed[self::SOURCES][$key] ?? '')[1] ?? 0);
    }

    /**
     * Changes a draft while nobody else does: a capture from a device and a key pressed on the page may come at once.
     *
     * An emptied draft stays as an empty row with its time, so that what a page sent just before it was kept or
     * thrown away
     * does not bring it back.
     *
     * @param \Closure(array<string, array<string, string>>): array<string, array<string, string>> $change  what
     *     is typed now to what is typed then
     * @param string|null                                                                          $note    null:
     *     stays as it is
     * @param int|null                                                                             $shownMs when
     *     the page was shown that sends by itself; null: somebody pressed a button
     *
     * @return array<string, array<string, string>>
     */
    public function change(
        Client $client,
        string $staffId,
        \Closure $change,
        ?string $note,
        \DateTimeImmutable $now,
        ?int $shownMs = null,
    ): array {
        return $this->connection
            ->transactional(function () use ($client, $staffId, $change, $note, $now, $shownMs): array {
                $at = $now->format('Y-m-d H:i:sP');
                $whose = [$client->id, $client->clinicId, $staffId];
                $isNew = 1 === $this->connection->executeStatement(
                    'INSERT INTO measure_draft (id, client_id, clinic_id, staff_id, typed, note, at) VALUES (?, ?, '
                        ."?, ?, '{}', '', ?) ON CONFLICT (client_id, staff_id) DO NOTHING",
                    [Uuid::v7()->toRfc4122(), ...$whose, $at],
                );
                $found = $this->connection->fetchAssociative(
                    'SELECT typed, note, extract(epoch FROM at)::bigint AS at FROM measure_draft WHERE client_id = ? '
                        .'AND clinic_id = ? AND staff_id = ? FOR UPDATE',
                    $whose,
                );
                $row = new Row(false === $found ? [] : $found);
                /** @var array<string, array<string, string>> $before */
                $before = $row->json('typed');
                if (
                    null !== $shownMs
                    && !$isNew
                    && [] === $before
                    && '' === $row->text('note')
                    && $shownMs < 1000 * $row->int('at')
                ) {
                    return $change($before);
                }
                $typed = $change($before);
                $this->connection->executeStatement(
                    'UPDATE measure_draft SET typed = ?, note = ?, at = ? WHERE client_id = ? AND clinic_id = ? AND '
                        .'staff_id = ?',
                    [
                        json_encode((object) $typed, \JSON_THROW_ON_ERROR),
                        $note ?? $row->text('note'),
                        $at,
                        ...$whose,
                    ],
                );

                return $typed;
            });
    }

    /**
     * What is left when some of it has been kept: whatever was typed or captured meanwhile.
     *
     * @param array<string, array<string, string>> $typed
     * @param array<string, array<string, string>> $kept
     *
     * @return array<string, array<string, string>>
     */
    public static function without(array $typed, array $kept): array
    {
        foreach (self::PARTS as $part) {
            foreach ($typed[$part] ?? [] as $key => $text) {
                if (($kept[$part][$key] ?? null) === $text) {
                    unset($typed[$part][$key], $typed[self::SOURCES]['m' === $part ? $key : '']);
                }
            }
        }

        return array_filter($typed, static fn (array $values): bool => [] !== $values);
    }

    public function drop(Client $client, string $staffId, \DateTimeImmutable $now): void
    {
        $this->change($client, $staffId, static fn (): array => [], '', now: $now);
    }
}
