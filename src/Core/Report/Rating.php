<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** The task as the client said it goes, at the end of a block. */
final readonly class Rating
{
    /** 0 to 10 each; null: not asked. */
    public function __construct(
        public string $reviewId,
        public \DateTimeImmutable $on,
        public ?int $ease,
        public ?int $content,
    ) {
    }
}
