<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;

/** What is worn on a hand for longer than it takes to put on. Its time is a plan of its own, beside the sittings. */
enum Worn: string
{
    case Band = 'band';
    case Glove = 'glove';
    case Walk = 'walk';
    case Splint = 'splint';

    /** What an exercise says in which it is put on. */
    public function part(): RungPart
    {
        return match ($this) {
            self::Band => RungPart::PutsBandOn,
            self::Glove => RungPart::PutsGloveOn,
            self::Walk => RungPart::PutsWalkingGlovesOn,
            self::Splint => RungPart::PutsSplintOn,
        };
    }

    /** The exercise in which it is put on; null: the catalogue has none. */
    public function rung(Catalogue $catalogue): ?Rung
    {
        foreach ($catalogue->rungs() as $rung) {
            if ($rung->plays($this->part())) {
                return $rung;
            }
        }

        return null;
    }

    /** @return non-empty-list<WearStep> from the first wear on */
    public function steps(): array
    {
        return match ($this) {
            self::Band => self::minutes(5, 10, 15, 20),
            self::Glove => self::minutes(10, 15, 20, 30),
            self::Walk => [...self::minutes(10, 15, 20), WearStep::usualWalk()],
            self::Splint => [...self::minutes(30, 60, 120, 240), WearStep::night()],
        };
    }

    /** Minutes after which it is looked at under way; null: at each halt. */
    public function lookAfter(): ?int
    {
        return match ($this) {
            self::Band => 5,
            self::Glove => 10,
            self::Walk => null,
            self::Splint => 30,
        };
    }

    /** Whether somebody is there all the time it is worn. */
    public function isNeverAlone(): bool
    {
        return self::Glove === $this || self::Walk === $this;
    }

    /** @return non-empty-list<WearStep> */
    private static function minutes(int $first, int ...$more): array
    {
        return array_map(WearStep::of(...), [$first, ...array_values($more)]);
    }
}
