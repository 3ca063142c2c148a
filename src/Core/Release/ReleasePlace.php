<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

/** Where in a hands-on release one is. */
final readonly class ReleasePlace
{
    private function __construct(
        public ReleaseStage $stage,
        public int $step = 0,
    ) {
    }

    public static function passive(int $step): self
    {
        return new self(ReleaseStage::Passive, $step);
    }

    public static function at(ReleaseStage $stage): self
    {
        return new self($stage);
    }

    public static function fromCode(string $code): ?self
    {
        if (1 === preg_match('/^[1-9]\d?$/', $code)) {
            return self::passive((int) $code);
        }
        $stage = ReleaseStage::tryFrom($code);

        return null === $stage || ReleaseStage::Passive === $stage ? null : self::at($stage);
    }

    /** The number of a step, or the word of what comes after the steps. */
    public function code(): string
    {
        return ReleaseStage::Passive === $this->stage ? (string) $this->step : $this->stage->value;
    }
}
