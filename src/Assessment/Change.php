<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Phrase;

/** One measure of one hand over time, as a row: from, to, and whether that is a real change. */
final readonly class Change
{
    /** @param \Closure(): Chart $draw its trend; most rows are read and not looked at */
    public function __construct(
        /** `code|argument|mode|side` */
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
        /** As far as it is known who took it. */
        public bool $sameTester,
        private \Closure $draw,
        public ?Chart $chart = null,
    ) {
    }

    public function drawn(): self
    {
        return new self(
            $this->key,
            $this->label,
            $this->hand,
            $this->first,
            firstOn: $this->firstOn,
            last: $this->last,
            lastOn: $this->lastOn,
            difference: $this->difference,
            mustBeat: $this->mustBeat,
            judgement: $this->judgement,
            why: $this->why,
            sameTester: $this->sameTester,
            draw: $this->draw,
            chart: ($this->draw)(),
        );
    }
}
