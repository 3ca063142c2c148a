<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** Seconds of opening work beside seconds of gripping work; light work counts half, reflex and passive work nothing. */
final readonly class Balance
{
    private function __construct(
        public float $extensionSeconds,
        public float $flexionSeconds,
    ) {
    }

    /** @param list<Item> $items */
    public static function from(array $items): self
    {
        $extension = $flexion = 0.0;
        foreach ($items as $item) {
            $opens = $grips = 0.0;
            foreach ($item->rung->load->muscles as $load) {
                $opens = $load->extends() ? max($opens, $load->share) : $opens;
                $grips = $load->flexes() ? max($grips, $load->share) : $grips;
            }
            $seconds = $item->isPause ? 0 : $item->dose->workSeconds() * $item->hands->sides();
            $half = $opens > 0.0 && $grips > 0.0 ? 0.5 : 1.0; // an item that loads both is split
            $extension += $seconds * $opens * $half;
            $flexion += $seconds * $grips * $half;
        }

        return new self($extension, $flexion);
    }

    /** Null when there is no gripping at all. */
    public function ratio(): ?float
    {
        return $this->flexionSeconds > 0.0 ? $this->extensionSeconds / $this->flexionSeconds : null;
    }
}
