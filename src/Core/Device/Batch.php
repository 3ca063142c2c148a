<?php

declare(strict_types=1);

namespace HandGarden\Core\Device;

/**
 * Lines of one delivery, newest protocol version 1. The first line says whose they are:
 *
 *     {"hello": "hand-garden/device", "version": 1, "kind": "glove", "run": "3f2a..."}
 *     {"seq": 0, "ms": 0, "v": [12.1, 30.5, ...]}
 *
 * A bad line costs itself only.
 */
final readonly class Batch
{
    public const PROTOCOL = 'hand-garden/device';
    public const MOST_LINES = 500;
    private const MOST_EXAMPLES = 3;

    /**
     * @param list<Frame>        $frames   in the order of their numbers
     * @param array<string, int> $faults   how many, by fault
     * @param list<string>       $examples what was wrong, of the first ones
     */
    private function __construct(
        public string $run,
        public array $frames,
        public array $faults,
        public array $examples,
    ) {
    }

    /** @throws InvalidBatch when the first line is no hello of this kind */
    public static function read(DeviceKind $kind, string $lines, Seen $before): self
    {
        $rows = preg_split('/\r?\n/', trim($lines), self::MOST_LINES + 2);
        $rows = false === $rows ? [] : $rows;
        if (\count($rows) > self::MOST_LINES + 1) {
            throw new InvalidBatch(\sprintf('At most %d lines in one delivery.', self::MOST_LINES));
        }
        $run = self::hello($kind, array_shift($rows) ?? '');
        $seen = $before->for($run);
        $numbers = $seen->numbers;
        $last = $seen->last;
        $frames = $faults = $examples = [];
        $note = static function (Fault $fault, string $example) use (&$faults, &$examples): void {
            $faults[$fault->value] = ($faults[$fault->value] ?? 0) + 1;
            if (\count($examples) < self::MOST_EXAMPLES && '' !== $example) {
                $examples[] = $example;
            }
        };
        foreach ($rows as $row) {
            $frame = self::frame($kind, $row);
            if (null === $frame) {
                $note(
                    Fault::Garbage,
                    'unreadable: '.preg_replace('/[^\x20-\x7e]+/', '·', substr($row, 0, 40)),
                );
            } elseif (isset($numbers[$frame->seq])) {
                $note(Fault::Duplicate, '');
            } elseif (null !== $wrong = self::outOfRange($kind, $frame)) {
                $note(Fault::OutOfRange, $wrong);
            } else {
                if ($frame->seq < $last) {
                    $note(Fault::Late, '');
                }
                $numbers[$frame->seq] = true;
                $last = max($last, $frame->seq);
                $frames[] = $frame;
            }
        }
        usort($frames, static fn (Frame $a, Frame $b): int => $a->seq <=> $b->seq);

        return new self($run, $frames, $faults, $examples);
    }

    private static function hello(DeviceKind $kind, string $line): string
    {
        $hello = json_decode($line, true, 4);
        $run = \is_array($hello)
            && self::PROTOCOL === ($hello['hello'] ?? null)
            && 1 === ($hello['version'] ?? null)
            ? $hello['run'] ?? null
            : null;
        if (
            !\is_array($hello)
            || !\is_string($run)
            || 1 !== preg_match('/^[0-9a-zA-Z-]{1,36}$/', $run)
        ) {
            throw new InvalidBatch(
                \sprintf(
                    'The first line has to be {"hello":"%s","version":1,"kind":"%s","run":"..."}.',
                    self::PROTOCOL,
                    $kind->value,
                ),
            );
        }
        if (($hello['kind'] ?? null) !== $kind->value) {
            throw new InvalidBatch(\sprintf('This token belongs to a %s.', $kind->value));
        }

        return $run;
    }

    private static function frame(DeviceKind $kind, string $line): ?Frame
    {
        $read = json_decode($line, true, 4);
        if (
            !\is_array($read)
            || !\is_int($read['seq'] ?? null)
            || $read['seq'] < 0
            || !(\is_int($read['ms'] ?? null) || \is_float($read['ms'] ?? null))
            || !\is_array($read['v'] ?? null)
        ) {
            return null;
        }
        $names = array_keys($kind->channels());
        $values = array_filter(
            $read['v'],
            static fn (mixed $v): bool => \is_int($v) || \is_float($v),
        );

        return \count($values) === \count($names)
            && array_is_list($read['v'])
            && \count($read['v']) === \count($names)
            ? new Frame(
                $read['seq'],
                (float) $read['ms'],
                array_map(floatval(...), array_combine($names, $values)),
            )
            : null;
    }

    private static function outOfRange(DeviceKind $kind, Frame $frame): ?string
    {
        foreach ($kind->channels() as $name => [$low, $high]) {
            if ($frame->values[$name] < $low || $frame->values[$name] > $high) {
                return \sprintf(
                    '%s %s is outside %s..%s',
                    $name,
                    round($frame->values[$name], 1),
                    $low,
                    $high,
                );
            }
        }

        return null;
    }
}
