<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** What in a log line speaks against doing more. */
final readonly class Symptoms
{
    public function __construct(
        private ProgressSettings $settings,
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

    /** Pain of 4 or more that rose, or pain that rose by two. */
    public function eases(LogLine $line): bool
    {
        $after = $line->painAfterCounted() ?? 0;

        return ($after >= $this->settings->painFrom && $line->painRise() >= $this->settings->painRise)
            || $line->painRise() >= $this->settings->painRiseAlone;
    }
}
