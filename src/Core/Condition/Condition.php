<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** An entry or block condition; its text form is the grammar of `ConditionParser`. */
interface Condition extends \Stringable
{
    public function judge(FactSource $facts, Side $side): Verdict;

    /** @return list<Atom> in reading order */
    public function atoms(): array;

    /** The same condition with every atom that has no side prefix given this one. */
    public function speakingOf(SidePrefix $prefix): self;
}
