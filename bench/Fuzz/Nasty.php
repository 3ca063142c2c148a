<?php

declare(strict_types=1);

namespace HandGarden\Bench\Fuzz;

/** What people, broken programs and attackers send where a plain value is wanted. */
final readonly class Nasty
{
    private const TEXTS = [
        '', ' ', '0', '-1', '-0', '00000', '1.5', '1,5', '1e999', '-1e999', '1e308', '1e-400', 'NaN', 'INF', '0x1A',
        '2147483648', '-2147483649', '9223372036854775808', '99999999999999999999999999', "\u{ff11}\u{ff12}",
        '2026-02-31', '2026-13-01', '0000-00-00', '0000-01-01', '-0001-01-01', '9999-12-31', '99999-01-01',
        '2026-11-28T25:61:00Z', '0000-01-01T00:00:00Z', '2026-02-31T00:00:00+99:99', 'next monday', 'now',
        "\0", "a\0b", "\xff\xfe", "\xc3\x28", "caf\xe9", "\u{202e}abc", "\u{1f590}\u{1f3fd}", "line\nline\r\n",
        "'; DROP TABLE client; --", '<script>alert(1)</script>', '../../../../etc/passwd', '%00', '%s%n', '{{7*7}}',
        'null', 'true', '[]', '{}', 'left', 'right', 'no', 'yes', '|', 'a|b|c', ':', '=', '"', "'", '\\',
        '00000000-0000-0000-0000-000000000000', '00000000-0000-0000-0000-00000000000g', 'gauge', '*', 'home', 'on',
    ];

    public function __construct(
        private Chance $chance,
    ) {
    }

    public function text(): string
    {
        return $this->chance->oneIn(30)
            ? str_repeat(
                $this->chance->of(['x', '9', "\u{e9}", '[']),
                $this->chance->of([300, 5_000, 70_000]),
            )
            : $this->chance->of(self::TEXTS);
    }

    /** As a form can send it. */
    public function field(): mixed
    {
        return match ($this->chance->below(8)) {
            0 => [],
            1 => [$this->text()],
            2 => ['0' => $this->text(), 'a' => [$this->text() => $this->text()]],
            default => $this->text(),
        };
    }

    /** As JSON can say it. */
    public function value(int $depth = 3): mixed
    {
        return match ($this->chance->below(12)) {
            0 => null,
            1 => $this->chance->oneIn(2),
            2 => $this->chance->of([0, -1, 1, 2, 7, 11, 300, 1_000_000, \PHP_INT_MAX, \PHP_INT_MIN]),
            3 => $this->chance->of([0.0, -0.0, 0.5, -1.5, 1e16, 1e308, -1e308, 1e-308, \INF, \NAN]),
            4 => [],
            5 => $depth > 0 ? [$this->value($depth - 1), $this->value($depth - 1)] : [],
            6 => $depth > 0 ? [$this->key() => $this->value($depth - 1), $this->key() => 1] : [],
            default => $this->text(),
        };
    }

    /** JSON text: what cannot be said in it is left as a number that is too large. */
    public function json(mixed $value): string
    {
        $text = json_encode(
            $value,
            \JSON_INVALID_UTF8_SUBSTITUTE | \JSON_PARTIAL_OUTPUT_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
        );
        $text = false === $text ? 'null' : $text;

        return match ($this->chance->below(40)) {
            0 => substr($text, 0, (int) (\strlen($text) / 2)),
            1 => str_repeat('[', 700).$text.str_repeat(']', 700),
            2 => (string) preg_replace('/\d+/', '1e999', $text, 1),
            3 => str_replace('"', '', $text),
            4 => "\xef\xbb\xbf".$text,
            5 => (string) preg_replace('/"[^"]*"/', "\"\xff\"", $text, 1),
            default => $text,
        };
    }

    /**
     * One that was right, with something in it changed: a value, a key, a part left out or put twice.
     *
     * @param array<array-key, mixed> $right
     *
     * @return array<array-key, mixed>
     */
    public function spoiled(array $right): array
    {
        if ([] === $right) {
            return [$this->key() => $this->value()];
        }
        $key = $this->chance->of(array_keys($right));
        $part = $right[$key];
        if (\is_array($part) && !$this->chance->oneIn(5)) {
            $right[$key] = $this->spoiled($part);

            return $right;
        }
        switch ($this->chance->below(6)) {
            case 0:
                unset($right[$key]);
                break;
            case 1:
                unset($right[$key]);
                $right[$this->key()] = $part;
                break;
            case 2:
                $right[$this->key()] = $this->value();
                break;
            default:
                $right[$key] = $this->value();
        }

        return $right;
    }

    private function key(): string|int
    {
        return $this->chance->oneIn(3) ? $this->chance->of([0, 1, -1, 7]) : $this->text();
    }
}
