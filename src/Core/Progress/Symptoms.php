<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** What in a log line speaks against doing more. */
final readonly class Symptoms
{
    /** @param int $usual pain that is there anyway in what the line works */
    public function __construct(
        private ProgressSettings $settings,
        private int $usual = 0,
    ) {
    }

    /** Anything that cancels an advance while it lies in the window. */
    public function any(LogLine $line): bool
    {
        return $this->suspends($line) || $this->eases($line) || ToneAfter::Tighter === $line->tone;
    }

    /** Stop the item at once: severe pain, new tingling or numbness, or anything systemic. */
    public function suspends(LogLine $line): bool
    {
        return $line->newTingling
            || $line->systemic
            || ($line->painAfterCounted() ?? 0) >= $this->settings->painSuspends;
    }

    /** Pain this high before the start: passive and calm items only that day. */
    public function forbidsActiveWork(?int $painBefore): bool
    {
        return ($painBefore ?? 0) >= $this->settings->painSuspends;
    }

    /** Pain of 4 or more, and more than usual, that rose; or pain that rose by two, or stayed for hours. */
    public function eases(LogLine $line): bool
    {
        $after = $line->painAfterCounted() ?? 0;
        $from = max($this->settings->painFrom, $this->usual + 1);

        return $line->hurtLater
            || ($after >= $from && $line->painRise() >= $this->settings->painRise)
            || $line->painRise() >= $this->settings->painRiseAlone;
    }
}
