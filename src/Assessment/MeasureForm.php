<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\CheckList;
use HandGarden\Core\Catalogue\Observation;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Taken;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\Unit;

/**
 * Reads a measuring form. Empty fields say nothing; `u` or 'usual' is 'as usual', kept as such and never as a number.
 * Several numbers in one field are trials of the same measure: `12 13 12.5`.
 */
final readonly class MeasureForm
{
    private const MOST_TRIALS = 10;

    public function __construct(
        private Catalogue $catalogue,
        private Taken $circumstances = new Taken(
        ),
    ) {
    }

    /**
     * @param array<string, array<string, string>> $typed by part: `m` measures, `o` observations, `t` try-outs,
     *     `none` lists of which none of the rest was found
     * @param Readings|null                        $known what was known before, for checks of one value against another
     */
    public function read(
        array $typed,
        \DateTimeImmutable $today,
        ?Readings $known = null,
    ): TypedReadings {
        $readings = $problems = [];
        foreach ($typed['m'] ?? [] as $key => $text) {
            $reading = $this->measure($key, $text, $today);
            $reading instanceof Reading ? $readings[] = $reading : $problems[$key] = $reading;
        }
        foreach ($typed['o'] ?? [] as $key => $text) {
            $answer = match (mb_strtolower($text)) {
                'yes', 'y' => true,
                'no', 'n' => false,
                default => null,
            };
            $reading = null === $answer ? null : $this->observation($key, $answer, $today);
            $reading instanceof Reading
                ? $readings[] = $reading
                : $problems[$key] = \sprintf('%s: %s is neither yes nor no', $key, $text);
        }
        foreach ($typed['none'] ?? [] as $key => $text) {
            if ('1' === $text) {
                array_push($readings, ...$this->rest($key, $readings, $today));
            }
        }
        foreach ($typed['t'] ?? [] as $key => $text) {
            [$rung, $side] = explode(':', $key) + [1 => ''];
            $hand = Side::tryFrom($side);
            if (
                \in_array($text, ['clean', 'trick', 'no'], true)
                && null !== $hand
                && $this->catalogue->hasRung($rung)
            ) {
                $readings[] = new Reading(
                    'tryout',
                    $hand,
                    null,
                    $rung,
                    value: $text,
                    on: $today,
                    taken: $this->circumstances,
                );
            } else {
                $problems[$key] = \sprintf('%s: a try-out is clean, trick or no', $key);
            }
        }

        return new TypedReadings($readings, $problems + self::crossed($readings, $known));
    }

    /** The reading, or what is wrong with it: `Index MCP bent, right, active: 400 is outside -45..130`. */
    public function measure(string $key, string $text, \DateTimeImmutable $today): Reading|string
    {
        $parsed = ReadingKey::parse($key);
        $kind = null === $parsed ? null : $this->catalogue->vocabulary->kinds->find($parsed[0]);
        if (
            null === $parsed
            || null === $kind
            || ($kind->sided && null === $parsed[1])
            || ($kind->hasMode && null === $parsed[2])
            || (null === $parsed[3] && [] !== $kind->arguments && !$kind->mayBeTakenAtRest)
            || (null !== $parsed[3] && !\in_array($parsed[3], $kind->arguments, true))
        ) {
            return \sprintf('there is no measure "%s"', $key);
        }
        $name = implode(
            ', ',
            array_filter(
                [$kind->label, $parsed[3] ?? '', $parsed[1]->value ?? '', $parsed[2]->value ?? ''],
                static fn (string $part): bool => '' !== $part,
            ),
        );
        $values = [];
        $parts = preg_split('/[\s;]+/', $text, -1, \PREG_SPLIT_NO_EMPTY);
        if (false === $parts || [] === $parts || 'as usual' === mb_strtolower($text)) {
            $parts = [$text];
        }
        foreach ($parts as $part) {
            $value = self::value($kind, $part);
            if (\is_string($value) || (null === $value && \count($parts) > 1)) {
                return \sprintf('%s: %s', $name, $value ?? '‘as usual’ stands alone');
            }
            if (null !== $value) {
                $values[] = $value;
            }
        }
        if (
            \count($values) > self::MOST_TRIALS
            || (\count($values) > 1 && Unit::Grade === $kind->unit)
        ) {
            return \sprintf(
                '%s: %s',
                $name,
                Unit::Grade === $kind->unit
                    ? 'one grade only: quick movement is made once'
                    : \sprintf('at most %d trials', self::MOST_TRIALS),
            );
        }

        return new Reading(
            $kind->code,
            $kind->sided ? $parsed[1] : null,
            $kind->hasMode ? $parsed[2] : null,
            $parsed[3],
            value: [] === $values ? null : $kind->combine->value($values, $kind->lowerIsBetter),
            on: $today,
            byEye: $kind->isByEye,
            taken: \count($values) > 1
                ? $this->circumstances->withTrials($values)
                : $this->circumstances,
        );
    }

    /**
     * What two fields say against each other: the quick angle cannot lie beyond the slow one.
     *
     * @param list<Reading> $typed
     *
     * @return array<string, string>
     */
    private static function crossed(array $typed, ?Readings $known): array
    {
        $all = new Readings($typed);
        $problems = [];
        foreach ($typed as $reading) {
            if (!\in_array($reading->code, ['slow_angle', 'catch_angle'], true)) {
                continue;
            }
            [$slow, $quick] = array_map(
                static fn (string $code): float|bool|string|null => (
                    $all->newest($code, $reading->side, null, $reading->argument)
                        ?? $known?->newest($code, $reading->side, null, $reading->argument)
                )?->value,
                ['slow_angle', 'catch_angle'],
            );
            if (\is_float($slow) && \is_float($quick) && $quick > $slow) {
                $problems[
                    ReadingKey::for($reading->code, $reading->side, null, $reading->argument)
                ] = \sprintf(
                    'catch at %s is beyond the slow angle %s: the slow angle goes at least as far',
                    $quick,
                    $slow,
                );
            }
        }

        return $problems;
    }

    private static function value(MeasureKind $kind, string $text): float|string|null
    {
        if (\in_array(mb_strtolower($text), ['u', 'usual', 'as usual'], true)) {
            return null;
        }
        if (Unit::Grade === $kind->unit) {
            return ToneGrade::tryFrom($text)?->rank()
                ?? \sprintf('%s is not one of 0, 1, 1+, 2, 3, 4', $text);
        }
        $number = str_replace([',', "\u{2212}"], ['.', '-'], $text);
        if (1 !== preg_match('/^-?\d{1,4}(\.\d+)?$/', $number)) {
            return \sprintf('%s is not a number', $text);
        }
        if (!$kind->accepts((float) $number)) {
            return \sprintf('%s is outside %s', $text, $kind->range());
        }

        return $kind->step <= 0.0 || 0.0 === fmod((float) $number, $kind->step)
            ? (float) $number
            : \sprintf('%s is not a step of %s', $text, $kind->step);
    }

    private function observation(string $key, bool $yes, \DateTimeImmutable $today): ?Reading
    {
        $parsed = ReadingKey::parse($key);
        $observation = null === $parsed
            ? null
            : $this->catalogue->vocabulary->observation($parsed[0]);
        if (
            null === $parsed
            || null === $observation
            || !$observation->accepts($parsed[3])
            || ($observation->sided && null === $parsed[1])
        ) {
            return null;
        }

        return new Reading(
            $observation->code,
            $observation->sided ? $parsed[1] : null,
            null,
            $parsed[3],
            value: $yes,
            on: $today,
            taken: $this->circumstances,
        );
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
        $list = array_values(
            array_filter(
                $this->catalogue->vocabulary->lists,
                static fn (CheckList $l): bool => $l->key === $listKey,
            ),
        )[0]
            ?? null;
        $rest = [];
        foreach (null === $list || null === $side ? [] : $list->observations as $observation) {
            foreach (self::partsOf($observation) as $part) {
                $name = ReadingKey::for(
                    $observation->code,
                    $observation->sided ? $side : null,
                    null,
                    $part,
                );
                $known = array_filter(
                    $answered,
                    static fn (Reading $r): bool => ReadingKey::for(
                        $r->code,
                        $r->side,
                        null,
                        $r->argument,
                    ) === $name,
                );
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
