<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Catalogue\Dose;

/** What was really told of an item, and when it reached the clinic. */
final readonly class Line
{
    /** @param int $arrives day on which the clinic has it */
    public function __construct(
        public string $id,
        public string $key,
        public int $day,
        public int $arrives,
        public Dose $dose,
        public ?int $painBefore,
        public ?int $painAfter,
        public bool $isTighter,
        public bool $hasTrick,
        public ?string $help,
        public ?int $fatigue,
        public float $reached,
        public bool $isTingling,
        public bool $isCopy,
    ) {
    }

    public function pain(): ?int
    {
        return null === $this->painBefore && null === $this->painAfter
            ? null
            : max($this->painBefore ?? 0, $this->painAfter ?? 0);
    }

    /** Pain that rose as the rules say, were nothing usual. */
    public function isSymptom(int $usual): bool
    {
        $after = $this->painAfter ?? 0;
        $rise = null === $this->painAfter ? 0 : $after - ($this->painBefore ?? 0);

        return ($after >= max(
            4,
            $usual + 1,
        ) && $rise >= 1) || $rise >= 2 || $after >= 7 || $this->isTingling;
    }
}
