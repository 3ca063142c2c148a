<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Core\Condition\AllOf;
use HandGarden\Core\Condition\AnyOf;
use HandGarden\Core\Condition\Atom;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Condition\Not;
use HandGarden\Core\Condition\SidePrefix;
use HandGarden\Core\Words\Joint;
use HandGarden\Web\Wording;

/** Says a condition in plain words, before anybody is measured by it. */
final readonly class ConditionWords
{
    public function __construct(
        private Wording $wording,
        private FactWords $facts,
    ) {
    }

    public function say(Condition $condition): string
    {
        return match (true) {
            $condition instanceof AllOf => $this->wording->say(
                Joint::Semicolon->joining(array_map($this->say(...), $condition->parts)),
            ),
            $condition instanceof AnyOf => $this->wording->say(
                Joint::Or->joining(array_map($this->say(...), $condition->parts)),
            ),
            $condition instanceof Not => $this->wording->word(
                'condition.not',
                ['part' => $this->say($condition->part)],
            ),
            $condition instanceof Atom => $this->atom($condition),
            default => (string) $condition,
        };
    }

    private function atom(Atom $atom): string
    {
        $words = [lcfirst($this->facts->name($atom->code, $atom->argument))];
        if (SidePrefix::Placed !== $atom->prefix) {
            $words[] = $this->wording->word('condition.hand.'.lcfirst($atom->prefix->name));
        }
        if (null !== $atom->comparison) {
            $words[] = $this->facts->wanted($atom->comparison, $atom);
        }

        return implode(' ', $words);
    }
}
