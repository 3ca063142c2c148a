<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** A measure of one hand that was taken on one day of the time only, or on none. */
final readonly class Once
{
    /**
     * @param string              $key   `code|argument|mode|side`
     * @param ?string             $value with its unit; null: not measured
     * @param ?\DateTimeImmutable $on    null: not measured
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $hand,
        public ?string $value,
        public ?\DateTimeImmutable $on,
    ) {
    }
}
