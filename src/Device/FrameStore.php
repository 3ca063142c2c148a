<?php

declare(strict_types=1);

namespace HandGarden\Device;

use Doctrine\DBAL\Connection;
use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Fault;
use HandGarden\Core\Device\Frame;
use HandGarden\Core\Device\Seen;
use HandGarden\Web\Row;

/** What devices sent in the last minutes, by delivery. */
final readonly class FrameStore
{
    /** Long enough to freeze a frame, or to keep a recording of a minute after it has ended. */
    public const KEPT_MS = 180_000;
    private const LOOKED_BACK = 6;
    private const FAULTS_MS = 10_000;
    private const FAULT_BATCHES = 300;

    public function __construct(
        private Connection $connection,
    ) {
    }

    public function seen(string $deviceId): Seen
    {
        $rows = $this->connection->fetchAllAssociative(
            'SELECT run, last_seq, frames FROM device_batch WHERE device_id = ? ORDER BY id DESC LIMIT '
                .self::LOOKED_BACK,
            [$deviceId],
        );
        $run = '';
        $last = -1;
        $numbers = [];
        foreach ($rows as $i => $values) {
            $row = new Row($values);
            $run = 0 === $i ? $row->text('run') : $run;
            if ($row->text('run') === $run) {
                $last = max($last, $row->int('last_seq'));
                foreach (self::decoded($row->text('frames')) as $frame) {
                    $numbers[(int) $frame[0]] = true;
                }
            }
        }

        return new Seen($run, $last, $numbers);
    }

    public function keep(string $deviceId, Batch $batch, int $nowMs): void
    {
        $frames = array_map(
            static fn (Frame $f): array => [
                $f->seq,
                $f->ms,
                ...array_map(static fn (float $v): float => round($v, 3), array_values($f->values)),
            ],
            $batch->frames,
        );
        $this->connection->executeStatement(
            'INSERT INTO device_batch (device_id, run, first_seq, last_seq, received_ms, frames, notes) VALUES (?, '
                .'?, ?, ?, ?, ?, ?)',
            [
                $deviceId,
                $batch->run,
                $batch->frames[0]->seq ?? -1,
                [] === $batch->frames ? -1 : $batch->frames[\count($batch->frames) - 1]->seq,
                $nowMs,
                json_encode($frames, \JSON_THROW_ON_ERROR),
                json_encode(
                    ['faults' => (object) $batch->faults, 'examples' => $batch->examples],
                    \JSON_THROW_ON_ERROR,
                ),
            ],
        );
        if (0 === random_int(0, 99)) {
            $this->connection->executeStatement(
                'DELETE FROM device_batch WHERE received_ms < ?',
                [$nowMs - self::KEPT_MS],
            );
        }
    }

    /** The newest frame there is, whatever came after it that was none. */
    public function newest(string $deviceId, DeviceKind $kind): ?KeptFrame
    {
        $found = $this->connection->fetchAssociative(
            'SELECT id, run, received_ms, frames FROM device_batch WHERE device_id = ? AND last_seq >= 0 ORDER BY id '
                .'DESC LIMIT 1',
            [$deviceId],
        );
        if (false === $found) {
            return null;
        }
        $row = new Row($found);
        $frames = self::decoded($row->text('frames'));

        return [] === $frames ? null : self::frame($kind, $row, $frames[\count($frames) - 1]);
    }

    /** A frame by the name it was shown under; null when it is no longer kept. */
    public function find(string $deviceId, DeviceKind $kind, string $name): ?KeptFrame
    {
        if (1 !== preg_match('/^(\d{1,18})\.(\d{1,9})$/', $name, $parts)) {
            return null;
        }
        $found = $this->connection->fetchAssociative(
            'SELECT id, run, received_ms, frames FROM device_batch WHERE id = ? AND device_id = ?',
            [$parts[1], $deviceId],
        );
        if (false === $found) {
            return null;
        }
        $row = new Row($found);
        foreach (self::decoded($row->text('frames')) as $frame) {
            if ((int) $frame[0] === (int) $parts[2]) {
                return self::frame($kind, $row, $frame);
            }
        }

        return null;
    }

    /**
     * Frames of the run of a named one, from it on.
     *
     * @return list<Frame> by number
     */
    public function since(
        string $deviceId,
        DeviceKind $kind,
        string $name,
        float $milliseconds,
    ): array {
        $first = $this->find($deviceId, $kind, $name);
        if (null === $first) {
            return [];
        }
        $batch = (int) explode('.', $name)[0];
        $frames = [];
        foreach (
            $this->connection->fetchAllAssociative(
                'SELECT id, run, received_ms, frames FROM device_batch WHERE device_id = ? AND id >= ? AND run = ? '
                    .'ORDER BY id',
                [$deviceId, $batch, $first->run],
            ) as $values
        ) {
            $row = new Row($values);
            foreach (self::decoded($row->text('frames')) as $frame) {
                if (
                    $frame[0] >= $first->frame->seq && $frame[1] - $first->frame->ms <= $milliseconds
                ) {
                    $frames[(int) $frame[0]] = self::frame($kind, $row, $frame)->frame;
                }
            }
        }
        ksort($frames);

        return array_values($frames);
    }

    /** @return array{faults: array<string, int>, examples: list<string>} of the last seconds */
    public function faults(string $deviceId, int $nowMs): array
    {
        $rows = $this->connection->fetchFirstColumn(
            'SELECT notes FROM (SELECT notes, received_ms FROM device_batch WHERE device_id = ? ORDER BY id DESC LIMIT '
                .self::FAULT_BATCHES
                .') lately WHERE received_ms > ? AND notes->>\'faults\' <> \'{}\'',
            [$deviceId, $nowMs - self::FAULTS_MS],
        );
        $faults = array_fill_keys(
            array_map(static fn (Fault $f): string => $f->value, Fault::cases()),
            0,
        );
        $examples = [];
        foreach ($rows as $json) {
            $notes = json_decode(\is_string($json) ? $json : '{}', true);
            $counts = \is_array($notes) && \is_array($notes['faults'] ?? null)
                ? $notes['faults']
                : [];
            foreach ($faults as $key => $count) {
                $faults[$key] = $count + (\is_int($counts[$key] ?? null) ? $counts[$key] : 0);
            }
            foreach (
                \is_array($notes) && \is_array($notes['examples'] ?? null)
                    ? $notes['examples']
                    : [] as $example
            ) {
                if (\count($examples) < 3 && \is_string($example)) {
                    $examples[] = $example;
                }
            }
        }

        return [
            'faults' => array_filter($faults, static fn (int $n): bool => $n > 0),
            'examples' => $examples,
        ];
    }

    /** @param non-empty-list<float> $frame */
    private static function frame(DeviceKind $kind, Row $row, array $frame): KeptFrame
    {
        /** @var array<string, float> $values */
        $values = array_combine(array_keys($kind->channels()), \array_slice($frame, 2));

        return new KeptFrame(
            $row->int('id').'.'.(int) $frame[0],
            $row->text('run'),
            $row->int('received_ms'),
            new Frame((int) $frame[0], $frame[1] ?? 0.0, $values),
        );
    }

    /** @return list<non-empty-list<float>> number, milliseconds, values */
    private static function decoded(string $json): array
    {
        $frames = [];
        $rows = json_decode($json, true);
        foreach (\is_array($rows) ? $rows : [] as $row) {
            if (\is_array($row) && \count($row) > 2) {
                $frames[] = array_values(
                    array_map(
                        static fn (mixed $v): float => \is_int($v) || \is_float($v) ? (float) $v : 0.0,
                        $row,
                    ),
                );
            }
        }

        /** @var list<non-empty-list<float>> $frames */
        return $frames;
    }
}
