<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\Unit;
use HandGarden\Core\Placement\CheckList;
use HandGarden\Core\Placement\Observation;

/** Reads a measuring form. Empty fields say nothing; `u` or 'usual' is 'as usual', kept as such and never as a number. */
final readonly class MeasureForm
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param array<mixed> $measured  typed values by field name
     * @param array<mixed> $observed  field names that are ticked
     * @param array<mixed> $lookedFor `list:side` that were looked for, none of the rest
     * @param array<mixed> $tried     results by `rung:side`
     */
    public function read(array $measured, array $observed, array $lookedFor, array $tried, \DateTimeImmutable $today): TypedReadings
    {
        $readings = $problems = [];
        $place = 0;
        foreach ($measured as $key => $value) {
            $text = \is_string($value) ? trim($value) : '';
            if ('' === $text) {
                ++$place;
                continue;
            }
            $reading = $this->measure((string) $key, $text, $place++, $today);
            $reading instanceof Reading ? $readings[] = $reading : $problems[(string) $key] = $reading;
        }
        foreach ($observed as $key => $value) {
            $reading = 'yes' === $value ? $this->observation((string) $key, true, $today) : null;
            if (null !== $reading) {
                $readings[] = $reading;
            }
        }
        foreach ($lookedFor as $key => $value) {
            if ('1' === $value) {
                array_push($readings, ...$this->rest((string) $key, $readings, $today));
            }
        }
        foreach ($tried as $key => $value) {
            [$rung, $side] = explode(':', (string) $key) + [1 => ''];
            $hand = Side::tryFrom($side);
            if (\in_array($value, ['clean', 'trick', 'no'], true) && null !== $hand && $this->catalogue->hasRung($rung)) {
                $readings[] = new Reading('tryout', $hand, null, $rung, $value, $today);
            }
        }

        return new TypedReadings($readings, $problems);
    }

    /** The reading, or what is wrong with it: `measures[3].degrees: 400 is outside -45..130`. */
    public function measure(string $key, string $text, int $place, \DateTimeImmutable $today): Reading|string
    {
        $parsed = ReadingKey::parse($key);
        $kind = null === $parsed ? null : $this->catalogue->vocabulary->kinds->find($parsed[0]);
        if (null === $parsed || null === $kind || ($kind->sided && null === $parsed[1]) || ($kind->hasMode && null === $parsed[2]) || (null === $parsed[3] && [] !== $kind->arguments && 'opening' !== $kind->code) || (null !== $parsed[3] && !\in_array($parsed[3], $kind->arguments, true))) {
            return \sprintf('measures[%d]: there is no measure "%s"', $place, $key);
        }
        $value = self::value($kind, $text);
        if (\is_string($value)) {
            return \sprintf('measures[%d].%s: %s', $place, $kind->unit->value, $value);
        }

        return new Reading($kind->code, $kind->sided ? $parsed[1] : null, $kind->hasMode ? $parsed[2] : null, $parsed[3], $value, $today, 'opening' === $kind->code);
    }

    private static function value(MeasureKind $kind, string $text): float|string|null
    {
        if (\in_array(mb_strtolower($text), ['u', 'usual', 'as usual'], true)) {
            return null;
        }
        if (Unit::Grade === $kind->unit) {
            return ToneGrade::tryFrom($text)?->rank() ?? \sprintf('%s is not one of 0, 1, 1+, 2, 3, 4', $text);
        }
        $number = str_replace([',', "\u{2212}"], ['.', '-'], $text);
        if (1 !== preg_match('/^-?\d{1,4}(\.\d+)?$/', $number)) {
            return \sprintf('%s is not a number', $text);
        }
        if (!$kind->accepts((float) $number)) {
            return \sprintf('%s is outside %s', $text, $kind->range());
        }

        return $kind->step <= 0.0 || 0.0 === fmod((float) $number, $kind->step) ? (float) $number : \sprintf('%s is not a step of %s', $text, $kind->step);
    }

    private function observation(string $key, bool $yes, \DateTimeImmutable $today): ?Reading
    {
        $parsed = ReadingKey::parse($key);
        $observation = null === $parsed ? null : $this->catalogue->vocabulary->observation($parsed[0]);
        if (null === $parsed || null === $observation || !$observation->accepts($parsed[3]) || ($observation->sided && null === $parsed[1])) {
            return null;
        }

        return new Reading($observation->code, $observation->sided ? $parsed[1] : null, null, $parsed[3], $yes, $today);
    }

    /**
     * @param list<Reading> $answered
     *
     * @return list<Reading>
     */
    private function rest(string $key, array $answered, \DateTimeImmutable $today): array
    {
        [$listKey, $sideName] = explode(':', $key) + [1 => ''];
        $side = Side::tryFrom($sideName);
        $list = array_values(array_filter($this->catalogue->vocabulary->lists, static fn (CheckList $l): bool => $l->key === $listKey))[0] ?? null;
        $rest = [];
        foreach (null === $list || null === $side ? [] : $list->observations as $observation) {
            foreach (self::partsOf($observation) as $part) {
                $name = ReadingKey::of($observation->code, $observation->sided ? $side : null, null, $part);
                $known = array_filter($answered, static fn (Reading $r): bool => ReadingKey::of($r->code, $r->side, null, $r->argument) === $name);
                $reading = [] === $known ? $this->observation($name, false, $today) : null;
                if (null !== $reading) {
                    $rest[] = $reading;
                }
            }
        }

        return $rest;
    }

    /** @return non-empty-list<?string> */
    private static function partsOf(Observation $observation): array
    {
        return [] === $observation->parts ? [null] : $observation->parts;
    }
}
