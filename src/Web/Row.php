<?php

declare(strict_types=1);

namespace HandGarden\Web;

/** One row of a hand-written query, read by type. */
final readonly class Row
{
    /** @param array<string, mixed> $values */
    public function __construct(
        private array $values,
    ) {
    }

    public function text(string $column): string
    {
        return $this->textOrNull($column)
            ?? throw new \UnexpectedValueException($column.' is empty.');
    }

    public function textOrNull(string $column): ?string
    {
        $value = $this->values[$column];

        return \is_string($value) ? $value : null;
    }

    public function bool(string $column): ?bool
    {
        $value = $this->values[$column];

        return \is_bool($value) ? $value : null;
    }

    public function float(string $column): ?float
    {
        $value = $this->values[$column];

        return is_numeric($value) ? (float) $value : null;
    }

    public function int(string $column): int
    {
        return $this->intOrNull($column)
            ?? throw new \UnexpectedValueException($column.' is no number.');
    }

    public function intOrNull(string $column): ?int
    {
        $value = $this->values[$column] ?? null;

        return is_numeric($value) ? (int) $value : null;
    }

    public function instant(string $column): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->text($column));
    }

    /** A calendar day, as midnight UTC. */
    public function day(string $column): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->text($column), new \DateTimeZone('UTC'));
    }

    /** @return list<float> of a JSON list */
    public function floats(string $column): array
    {
        return array_map(
            static fn (mixed $v): float => is_numeric($v) ? (float) $v : 0.0,
            array_values($this->json($column)),
        );
    }

    /** @return array<string, mixed> */
    public function json(string $column): array
    {
        $decoded = json_decode($this->text($column), true, 32, \JSON_THROW_ON_ERROR);

        /** @var array<string, mixed> $map */
        $map = \is_array($decoded) ? $decoded : [];

        return $map;
    }
}
