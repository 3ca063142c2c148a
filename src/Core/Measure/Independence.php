<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/**
 * How far the other digits move along when one is asked to move, as a 5x5 map.
 *
 * Index of a digit = 1 - mean(|unintended| / |intended|) over the other four (after Schieber 1991). In degrees
 * (MCP + PIP;
 * thumb: base) it counts when the asked one moves 10 or more; by eye in marks 0 to 3, when the asked one reaches
 * 3. A value
 * below 0 is shown as 0.
 */
final readonly class Independence
{
    public const LEAST_DEGREES = 10.0;
    public const FULL_MARK = 3.0;
    public const NOT_MEASURED = 'independence.not_measured';

    /**
     * @param array<string, array<string, ?float>> $map   by asked digit and moving digit: share of the asked
     *     movement, 0 and up
     * @param array<string, ?float>                $index by asked digit; null: cannot be told
     * @param array<string, Phrase>                $why   by asked digit, where it cannot be told
     */
    private function __construct(
        public array $map,
        public array $index,
        public array $why,
    ) {
    }

    /** From marks by eye, the newest of each. */
    public static function byEye(Readings $readings, Side $side): self
    {
        $moved = [];
        foreach (Digit::cases() as $asked) {
            foreach (Digit::cases() as $other) {
                $mark = $readings->newest('along', $side, null, self::pair($asked, $other))?->value;
                $moved[$asked->value][$other->value] = \is_float($mark) ? $mark : null;
            }
        }

        return self::from(
            $moved,
            self::FULL_MARK,
            new Phrase('independence.not_all_the_way'),
        );
    }

    /** @param array<string, array<string, ?float>> $degrees by asked and moving digit */
    public static function inDegrees(array $degrees): self
    {
        return self::from(
            $degrees,
            self::LEAST_DEGREES,
            new Phrase('independence.too_little', ['degrees' => (int) self::LEAST_DEGREES]),
        );
    }

    public static function pair(Digit $asked, Digit $moving): string
    {
        return $asked->value.'>'.$moving->value;
    }

    /** @return list<string> */
    public static function pairs(): array
    {
        $pairs = [];
        foreach (Digit::cases() as $asked) {
            foreach (Digit::cases() as $moving) {
                $pairs[] = self::pair($asked, $moving);
            }
        }

        return $pairs;
    }

    /**
     * @param array<string, array<string, ?float>> $moved
     * @param Phrase                              $tooLittle why there is no index when the asked one hardly moved
     */
    private static function from(array $moved, float $least, Phrase $tooLittle): self
    {
        $map = $index = $why = [];
        foreach (Digit::cases() as $asked) {
            $row = $moved[$asked->value] ?? [];
            $intended = abs($row[$asked->value] ?? 0.0);
            $enough = isset($row[$asked->value]) && $intended >= $least;
            $missing = [];
            $sum = 0.0;
            foreach (Digit::cases() as $other) {
                $value = $row[$other->value] ?? null;
                $share = null === $value || !$enough ? null : abs($value) / $intended;
                $map[$asked->value][$other->value] = $share;
                if ($other === $asked) {
                    continue;
                }
                null === $value ? $missing[] = $other->value : $sum += $share ?? 0.0;
            }
            $index[$asked->value] = $enough && [] === $missing ? max(0.0, 1.0 - $sum / 4.0) : null;
            if (null === $index[$asked->value]) {
                $why[$asked->value] = match (true) {
                    !isset($row[$asked->value]) => new Phrase(self::NOT_MEASURED),
                    !$enough => $tooLittle,
                    default => new Phrase(
                        'independence.needs',
                        ['fingers' => Joint::Comma->joining($missing)],
                    ),
                };
            }
        }

        return new self($map, $index, $why);
    }
}
