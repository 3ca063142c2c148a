<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;

/** Who it is about. */
final readonly class People
{
    /**
     * @param non-empty-list<Condition> $conditions
     * @param non-empty-list<Side>      $affected   worse hand first
     * @param list<Side>                $unaffected hands found wholly unaffected: their observations count as answered
     */
    public function __construct(
        public array $conditions,
        public array $affected,
        public array $unaffected,
        public Side $writingHand,
    ) {
    }
}
