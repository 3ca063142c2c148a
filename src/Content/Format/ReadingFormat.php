<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Measure\Unit;

/** Measures, observations and try-outs as named values. */
final readonly class ReadingFormat
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** @throws InvalidData such as `measures[3].degrees: 400 is outside -45..130` */
    public function measure(Node $node, \DateTimeImmutable $today): Reading
    {
        $kind = $this->catalogue->vocabulary->kinds->find($node->get('code')->string())
            ?? throw $node->get('code')->fail(
                \sprintf('"%s" is not a measure', $node->get('code')->string()),
            );
        $node->only(...['code', 'side', 'mode', 'at', $kind->unit->value, 'on', 'by_eye']);
        $value = $node->get($kind->unit->value);
        $number = Unit::Grade === $kind->unit
            ? $value->enum(ToneGrade::class)->rank()
            : $value->float($kind->min, $kind->max);
        $at = $node->optional('at')?->scalarText();
        if (null !== $at && !\in_array($at, $kind->arguments, true)) {
            throw $node->get('at')->fail(
                [] === $kind->arguments
                    ? 'this measure has no angle'
                    : \sprintf('%s is not one of %s', $at, implode(', ', $kind->arguments)),
            );
        }

        return new Reading(
            $kind->code,
            $kind->sided ? $node->get('side')->enum(Side::class) : null,
            $kind->hasMode ? $node->get('mode')->enum(Mode::class) : null,
            $at,
            value: $number,
            on: self::day($node, $today),
            byEye: $node->optional('by_eye')?->bool() ?? $kind->isByEye,
        );
    }

    /** @throws InvalidData */
    public function observation(Node $node, \DateTimeImmutable $today): Reading
    {
        $code = $node->get('code')->string();
        $observation = $this->catalogue->vocabulary->observation($code)
            ?? throw $node->get('code')->fail(\sprintf('"%s" is not an observation', $code));
        $part = $node->optional('part')?->string();
        if (!$observation->accepts($part)) {
            throw InvalidData::at(
                $node->path.'.part',
                [] === $observation->parts
                    ? 'this question has no part'
                    : 'expected one of '.implode(', ', $observation->parts),
            );
        }

        return new Reading(
            $code,
            $observation->sided ? $node->get('side')->enum(Side::class) : null,
            null,
            $part,
            value: 'yes' === $node->get('answer')->string(),
            on: self::day($node, $today),
        );
    }

    /** @throws InvalidData */
    public function tryout(Node $node, \DateTimeImmutable $today): Reading
    {
        $rung = $node->get('rung')->string();
        if (!$this->catalogue->hasRung($rung)) {
            throw $node->get('rung')->fail(\sprintf('"%s" is not in the catalogue', $rung));
        }

        return new Reading(
            'tryout',
            $node->get('side')->enum(Side::class),
            null,
            $rung,
            value: $node->get('result')->string(),
            on: self::day($node, $today),
        );
    }

    /**
     * Everything that was found at once: `measures`, `observations`, `tryouts`, and lists that were `looked_for`.
     *
     * @return list<Reading>
     *
     * @throws InvalidData
     */
    public function all(Node $found, \DateTimeImmutable $today): array
    {
        $readings = [];
        foreach (
            [
                'measures' => $this->measure(...),
                'observations' => $this->observation(...),
                'tryouts' => $this->tryout(...),
            ] as $key => $read
        ) {
            foreach ($found->optional($key)?->items() ?? [] as $item) {
                $readings[] = $read($item, $today);
            }
        }
        foreach ($found->optional('looked_for')?->items() ?? [] as $item) {
            array_push($readings, ...$this->restOfList($item, $readings, $today));
        }

        return $readings;
    }

    /**
     * 'Looked for, none of the rest': every question of the list that has no answer yet gets a no.
     *
     * @param list<Reading> $answered
     *
     * @return list<Reading>
     *
     * @throws InvalidData
     */
    private function restOfList(Node $node, array $answered, \DateTimeImmutable $today): array
    {
        $key = $node->get('list')->string();
        $side = $node->get('side')->enum(Side::class);
        $on = self::day($node, $today);
        foreach ($this->catalogue->vocabulary->lists as $list) {
            if ($list->key === $key) {
                $rest = [];
                foreach ($list->observations as $observation) {
                    foreach ([] === $observation->parts ? [null] : $observation->parts as $part) {
                        $reading = new Reading(
                            $observation->code,
                            $observation->sided ? $side : null,
                            null,
                            $part,
                            value: false,
                            on: $on,
                        );
                        $has = array_filter(
                            $answered,
                            static fn (Reading $r): bool => $r->isOf(
                                $reading->code,
                                $reading->side,
                                null,
                                $part,
                            ),
                        );
                        if ([] === $has) {
                            $rest[] = $reading;
                        }
                    }
                }

                return $rest;
            }
        }
        throw $node->get('list')->fail(\sprintf('"%s" is not a check list', $key));
    }

    private static function day(Node $node, \DateTimeImmutable $today): \DateTimeImmutable
    {
        $day = $node->optional('on')?->date() ?? $today;

        return $day <= $today ? $day : throw $node->get('on')->fail('lies after today');
    }
}
