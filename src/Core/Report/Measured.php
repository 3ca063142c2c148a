<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Phrase;

/** One measure of one hand, first and last in the time of a report. */
final readonly class Measured
{
    /**
     * @param string  $key        `code|argument|mode|side`
     * @param string  $first      with its unit; so is last
     * @param string  $mustBeat   the smallest real difference, with what it comes from; empty: none is known
     * @param ?Phrase $why        the two cannot be compared; null: they can
     * @param bool    $isInjected an injection lies between, or works still
     * @param bool    $sameTester as far as it is known who took it
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $hand,
        public string $first,
        public \DateTimeImmutable $firstOn,
        public string $last,
        public \DateTimeImmutable $lastOn,
        public string $difference,
        public string $mustBeat,
        public Judgement $judgement,
        public ?Phrase $why,
        public bool $isInjected,
        public bool $sameTester,
    ) {
    }

    /** @return non-empty-list<Fact> */
    public function facts(): array
    {
        return [
            Fact::ofMeasure($this->key, $this->firstOn),
            Fact::ofMeasure($this->key, $this->lastOn),
        ];
    }
}
