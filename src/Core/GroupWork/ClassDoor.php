<?php

declare(strict_types=1);

namespace HandGarden\Core\GroupWork;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** The one door in a class: nobody has their hands free for one, so that nothing comes in that asks for them. */
final readonly class ClassDoor
{
    private const WITHOUT_HANDS = [Performer::ClientAlone, Performer::OwnOtherHand, Performer::HelperPrompts];

    public function __construct(
        public Door $door,
        private Performers $performers,
    ) {
    }

    /** Whether a class may be led through it at all: done by oneself, nothing worn, and not everybody's own task. */
    public static function isForClasses(Rung $rung): bool
    {
        return [] !== array_uintersect(
            $rung->fit->performers,
            self::WITHOUT_HANDS,
            static fn (Performer $a, Performer $b): int => $a->value <=> $b->value,
        )
            && EffortClass::Device !== $rung->load->class
            && !$rung->plays(RungPart::CarriesTask)
            && null !== self::hands($rung, Side::Right);
    }

    /** With which hands it is done in a class; null: it goes by something else than the affected hand. */
    public static function hands(Rung $rung, Side $worse): ?Hands
    {
        return match ($rung->fit->doneOn) {
            DoneOn::BothTogether => Hands::Together,
            DoneOn::Affected, DoneOn::EachHand => Hands::fromSide($worse),
            DoneOn::NonDominant, DoneOn::WritingHand, DoneOn::SteadierHand => null,
        };
    }

    /** Why it may not be given at a place today; null: it may. */
    public function stops(Item $item): ?Phrase
    {
        foreach ($item->hands->each() as $side) {
            if (!$this->isDoneWithoutHands($item->rung, $side)) {
                return new Phrase('class.why.hands');
            }
        }

        return $this->door->stops($item)?->why;
    }

    private function isDoneWithoutHands(Rung $rung, Side $side): bool
    {
        $able = $this->performers->able($rung, $side);

        return [] !== array_filter(
            $able,
            static fn (Performer $p): bool => \in_array($p, self::WITHOUT_HANDS, true),
        );
    }
}
