<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Told;

/** A sign that was told in a sitting, with what was asked of it. */
final readonly class Wrong
{
    /**
     * @param ?int  $strength 0 to 10; null: not asked, or not told
     * @param ?bool $isWorse  null: not asked, or not sure
     */
    public function __construct(
        public Sign $sign,
        public ?int $strength = null,
        public ?bool $isWorse = null,
    ) {
    }

    public function consequence(StopTable $table): Consequence
    {
        return $table->of($this->sign, $this->strength, $this->isWorse);
    }

    /** What it says of the exercise in which it came. */
    public function told(): Told
    {
        return new Told(
            Outcome::Part,
            painAfter: Sign::Pain === $this->sign ? $this->strength ?? StopTable::MOST : null,
            newTingling: Sign::Tingling === $this->sign && false !== $this->isWorse,
            systemic: match ($this->sign) {
                Sign::Stroke, Sign::Fit, Sign::Chest, Sign::Dizzy => true,
                default => false,
            },
        );
    }
}
