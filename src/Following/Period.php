<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Core\Words\Phrase;

/** A time that is shaded on every chart: a block, after an injection, away. */
final readonly class Period
{
    public function __construct(
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public string $kind,
        public Phrase $words,
    ) {
    }
}
