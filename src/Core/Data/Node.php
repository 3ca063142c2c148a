<?php

declare(strict_types=1);

namespace HandGarden\Core\Data;

/**
 * A place in decoded JSON or YAML that knows its path, so that every complaint can name it:
 * `measures[3].degrees: 400 is outside -45..130`.
 */
final readonly class Node
{
    private function __construct(
        private mixed $value,
        public string $path,
    ) {
    }

    public static function root(mixed $value, string $path = ''): self
    {
        return new self($value, $path);
    }

    /** @throws InvalidData when the text is not JSON */
    public static function fromJson(string $text, string $path = ''): self
    {
        try {
            return self::outside(json_decode($text, true, 64, \JSON_THROW_ON_ERROR), $path);
        } catch (\JsonException $e) {
            throw InvalidData::at($path, 'not JSON: '.$e->getMessage());
        }
    }

    /** @throws InvalidData when it holds what is no text and no number */
    public static function outside(mixed $value, string $path = ''): self
    {
        $problem = Plain::problem($value);

        return null === $problem ? new self($value, $path) : throw InvalidData::at($path, $problem);
    }

    public function fail(string $problem): InvalidData
    {
        return InvalidData::at($this->path, $problem);
    }

    /** Whether the key is there and not null. */
    public function has(string $key): bool
    {
        return \is_array($this->value) && isset($this->value[$key]);
    }

    /** @throws InvalidData when the key is missing */
    public function get(string $key): self
    {
        return $this->optional($key) ?? throw InvalidData::at($this->child($key), 'is missing');
    }

    public function optional(string $key): ?self
    {
        return $this->has($key) && \is_array($this->value)
            ? new self($this->value[$key], $this->child($key))
            : null;
    }

    /** @throws InvalidData when there is a key that nobody asked for */
    public function only(string ...$keys): self
    {
        foreach (array_keys($this->map()) as $key) {
            if (!\in_array($key, $keys, true)) {
                throw InvalidData::at(
                    $this->child($key),
                    'is not known here; expected one of '.implode(', ', $keys),
                );
            }
        }

        return $this;
    }

    /** @return list<self> */
    public function items(): array
    {
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            throw $this->fail('expected a list');
        }
        $items = [];
        foreach ($this->value as $i => $value) {
            $items[] = new self($value, $this->path.'['.$i.']');
        }

        return $items;
    }

    /** @return array<string, self> */
    public function map(): array
    {
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            throw $this->fail('expected named values');
        }
        $map = [];
        foreach ($this->value as $key => $value) {
            if (\is_int($key)) { // a number as a name would come out of the list as a number
                throw $this->fail(\sprintf('"%d" is no name', $key));
            }
            $map[$key] = new self($value, $this->child($key));
        }

        return $map;
    }

    public function string(): string
    {
        return \is_string($this->value) ? $this->value : throw $this->fail('expected text');
    }

    /**
     * Text up to a length.
     *
     * @throws InvalidData
     */
    public function text(int $letters): string
    {
        $text = $this->string();

        return mb_strlen($text) <= $letters
            ? $text
            : throw $this->fail(\sprintf('is longer than %d letters', $letters));
    }

    /** Text or a number, as text: for values such as grades, where `2` and `"1+"` stand side by side. */
    public function scalarText(): string
    {
        return \is_string($this->value) || \is_int($this->value) || \is_float($this->value)
            ? (string) $this->value
            : throw $this->fail('expected text or a number');
    }

    public function scalar(): int|float|string
    {
        return \is_int($this->value) || \is_float($this->value) || \is_string($this->value)
            ? $this->value
            : throw $this->fail('expected a number or a word');
    }

    public function int(int $min = \PHP_INT_MIN, int $max = \PHP_INT_MAX): int
    {
        if (!\is_int($this->value)) {
            throw $this->fail('expected a whole number');
        }
        $this->inside($this->value, $min, $max);

        return $this->value;
    }

    public function float(float $min = -\INF, float $max = \INF): float
    {
        if (!\is_int($this->value) && !\is_float($this->value)) {
            throw $this->fail('expected a number');
        }
        $this->inside($this->value, $min, $max);

        return (float) $this->value;
    }

    public function bool(): bool
    {
        return \is_bool($this->value) ? $this->value : throw $this->fail('expected true or false');
    }

    /** @throws InvalidData when it is not a day written as YYYY-MM-DD */
    public function date(): \DateTimeImmutable
    {
        $text = $this->string();

        return Dates::day($text)
            ?? throw $this->fail(\sprintf('%s is not a day written as YYYY-MM-DD', json_encode($text)));
    }

    /** @return list<string> */
    public function strings(): array
    {
        return array_map(static fn (self $item): string => $item->string(), $this->items());
    }

    /** @return list<float> */
    public function floats(): array
    {
        return array_map(static fn (self $item): float => $item->float(), $this->items());
    }

    /**
     * A table of numbers, read at once because recordings have thousands of rows.
     *
     * @return list<non-empty-list<float>> rows of between $least and $most finite numbers
     */
    public function rows(int $least, int $most, int $mostRows): array
    {
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            throw $this->fail('expected a list of rows');
        }
        if (\count($this->value) > $mostRows) {
            throw $this->fail(\sprintf('%d rows; at most %d', \count($this->value), $mostRows));
        }
        $rows = [];
        foreach ($this->value as $i => $row) {
            if (
                !\is_array($row)
                || !array_is_list($row)
                || \count($row) < $least
                || \count($row) > $most
                || [] === $row
            ) {
                throw InvalidData::at(
                    \sprintf('%s[%d]', $this->path, $i),
                    \sprintf('expected %s numbers', $least === $most ? $least : $least.' to '.$most),
                );
            }
            $numbers = [];
            foreach ($row as $k => $number) {
                if ((!\is_float($number) && !\is_int($number)) || !is_finite((float) $number)) {
                    throw InvalidData::at(
                        \sprintf('%s[%d][%d]', $this->path, $i, $k),
                        'expected a number',
                    );
                }
                $numbers[] = (float) $number;
            }
            $rows[] = $numbers;
        }

        return $rows;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function enum(string $enum): \BackedEnum
    {
        $value = $this->scalarText();

        foreach ($enum::cases() as $case) {
            if (
                (string) $case->value === $value
                || (string) $case->value === str_replace(' ', '-', $value)
            ) {
                return $case; // codes used to be written as words
            }
        }

        throw $this->fail(
            \sprintf(
                '%s is not one of %s',
                json_encode($value),
                implode(
                    ', ',
                    array_map(
                        static fn (\BackedEnum $case): string => (string) $case->value,
                        $enum::cases(),
                    ),
                ),
            ),
        );
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return list<T>
     */
    public function enums(string $enum): array
    {
        return array_map(static fn (self $item): \BackedEnum => $item->enum($enum), $this->items());
    }

    public function raw(): mixed
    {
        return $this->value;
    }

    private function inside(int|float $value, int|float $min, int|float $max): void
    {
        if ($value < $min || $value > $max || !is_finite((float) $value)) {
            $open = is_infinite((float) $max) || \PHP_INT_MAX === $max;
            throw $this->fail(
                $open
                    ? \sprintf('%s is less than %s', $value, $min)
                    : \sprintf('%s is outside %s..%s', $value, $min, $max),
            );
        }
    }

    private function child(string $key): string
    {
        return '' === $this->path ? $key : $this->path.'.'.$key;
    }
}
