<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition;

/** While the condition is true, an unknown fact takes this value: who lifts fifteen times can surely lift once. */
final readonly class StrongerEvidence
{
    public function __construct(
        public Condition $while,
        public string $code,
        public float|bool $value,
    ) {
    }
}
