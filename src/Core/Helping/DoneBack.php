<?php

declare(strict_types=1);

namespace HandGarden\Core\Helping;

use HandGarden\Core\Catalogue\Technique;
use HandGarden\Core\Catalogue\Techniques;

/** A technique as a helper did it back on the client's own hand: every point a yes, or it is practised again. */
final readonly class DoneBack
{
    /** @param array<string, bool> $points as seen, by key; a point that was not looked at is missing */
    public function __construct(
        private Techniques $techniques,
        private Technique $technique,
        public array $points,
    ) {
    }

    /** @return list<string> keys of points nobody looked at */
    public function unseen(): array
    {
        return array_keys(array_diff_key($this->asked(), $this->points));
    }

    /** @return array<string, string> what is practised until the next visit, by key */
    public function toPractise(): array
    {
        return array_filter(
            $this->asked(),
            fn (string $key): bool => true !== ($this->points[$key] ?? null),
            \ARRAY_FILTER_USE_KEY,
        );
    }

    public function isSigned(): bool
    {
        return [] === $this->toPractise();
    }

    /** @return array<string, string> */
    private function asked(): array
    {
        return $this->techniques->points($this->technique);
    }
}
