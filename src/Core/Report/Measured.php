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
    ) {
    }

    /** @return non-empty-list<Fact> */
    public function facts(): array
    {
        return [
            new Fact(FactKind::Reading, $this->key.'@'.$this->firstOn->format('Y-m-d')),
            new Fact(FactKind::Reading, $this->key.'@'.$this->lastOn->format('Y-m-d')),
        ];
    }
}
