<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** Where atoms find what is known. */
interface FactSource
{
    /** @return float|bool|string|null null when unknown; grades as ranks */
    public function value(string $code, ?string $argument, Side $side): float|bool|string|null;

    public function writingHand(): Side;

    public function steadierHand(): Side;

    /** Whether a fact differs from hand to hand; facts about the body or about two hands meeting have no side. */
    public function isSided(string $code): bool;
}
