<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** All measures, in the order a clinician takes them. */
final readonly class MeasureKinds
{
    /** @var array<string, MeasureKind> */
    private array $byCode;

    /** @var array<string, NumberFact> by the code that conditions use */
    public array $numbers;

    /** @var array<string, DerivedFact> by the code that conditions use */
    public array $derived;

    /**
     * @param list<MeasureKind>  $kinds
     * @param list<MeasureGroup> $groups of the form, in the order they are taken
     */
    public function __construct(
        array $kinds,
        public array $groups,
    ) {
        $byCode = $numbers = $derived = [];
        foreach ($kinds as $kind) {
            $byCode[$kind->code] = $kind;
            foreach ($kind->answers as $fact) {
                $numbers[$fact->code] = $fact;
            }
            foreach ($kind->derived as $fact) {
                $derived[$fact->code] = $fact;
            }
        }
        $this->byCode = $byCode;
        $this->numbers = $numbers;
        $this->derived = $derived;
    }

    public function find(string $code): ?MeasureKind
    {
        return $this->byCode[$code] ?? null;
    }

    /** @return list<MeasureKind> in the order they are taken */
    public function all(): array
    {
        return array_values($this->byCode);
    }

    /** The measure that a number of this name is read from, where conditions have one of that name. */
    public function behind(string $factCode): ?MeasureKind
    {
        $number = $this->numbers[$factCode] ?? null;

        return null === $number ? null : $this->find($number->readingCode);
    }
}
