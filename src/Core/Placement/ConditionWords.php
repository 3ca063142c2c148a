<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Condition\AllOf;
use HandGarden\Core\Condition\AnyOf;
use HandGarden\Core\Condition\Atom;
use HandGarden\Core\Condition\Comparison;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Condition\Not;
use HandGarden\Core\Condition\SidePrefix;

/** Says a condition in plain words, before anybody is measured by it. */
final readonly class ConditionWords
{
    private Words $words;

    public function __construct(
        private Catalogue $catalogue,
    ) {
        $this->words = new Words($catalogue);
    }

    public function say(Condition $condition): string
    {
        return match (true) {
            $condition instanceof AllOf => implode(
                '; ',
                array_map($this->say(...), $condition->parts),
            ),
            $condition instanceof AnyOf => implode(
                ', or ',
                array_map($this->say(...), $condition->parts),
            ),
            $condition instanceof Not => 'not: '.$this->say($condition->part),
            $condition instanceof Atom => $this->atom($condition),
            default => (string) $condition,
        };
    }

    private function atom(Atom $atom): string
    {
        $whose = match ($atom->prefix) {
            SidePrefix::Placed => '',
            SidePrefix::Other => ' (other hand)',
            SidePrefix::Both => ' (both hands)',
            SidePrefix::WritingHand => ' (writing hand)',
            SidePrefix::KnifeHand => ' (steadier hand)',
        };
        $wanted = $atom->wantedText.$this->catalogue->vocabulary->unitSign($atom->code);

        return lcfirst(
            $this->words->name($atom->code, $atom->argument),
        ).$whose.match ($atom->comparison) {
            null => '',
            Comparison::AtLeast => ' at least '.$wanted,
            Comparison::AtMost => ' at most '.$wanted,
            Comparison::Less => ' under '.$wanted,
            Comparison::Greater => ' over '.$wanted,
            Comparison::Equal => ' '.$wanted,
        };
    }
}
