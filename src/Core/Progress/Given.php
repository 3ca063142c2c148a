<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\LeftOut;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Routine\StillPrepared;
use HandGarden\Core\Words\Phrase;

/**
 * What is given today: the dose of record under everything that holds it down, until a therapist has answered. It makes
 * nothing harder and brings nothing in.
 */
final readonly class Given
{
    /** Practice days of a client's first plan on which each item is done once, in a part of the time. */
    public const FIRST_DAYS = 3;
    private const FIRST_SHARE = 0.6;
    private const TIRED_SHARE = 0.75;
    /** How hard an active item may be after a long time away, until the hand is measured again. */
    private const AFTER_LONG = 2;
    /** Effort of a day over all its sittings, for each agreed minute. */
    private const DAILY_EFFORT = 3.0;

    /** @var array<string, list<Proposal>> that make an item easier, by its key */
    private array $easier;

    /** @var array<string, true> by key: at its least dose already, it rests */
    private array $resting;

    private bool $isLongAway;

    private bool $isTired;

    /**
     * @param list<Proposal> $open         that nobody has answered yet
     * @param int            $practiceDays that were before today
     * @param int            $seconds      of the agreed time
     */
    public function __construct(
        array $open,
        private int $practiceDays,
        private int $seconds,
        private ?Door $door = null,
        private EarlierToday $earlier = new EarlierToday(),
        private StillPrepared $prepared = new StillPrepared(new SittingRules([])),
    ) {
        $easier = $resting = [];
        foreach ($open as $proposal) {
            $key = $proposal->itemKey();
            if (null !== $key && null !== $proposal->to && !$proposal->kind->isMore()) {
                $easier[$key][] = $proposal;
            }
            if (null !== $key && null === $proposal->to && $proposal->isOfASymptom()) {
                $resting[$key] = true;
            }
        }
        $this->easier = $easier;
        $this->resting = $resting;
        $kinds = array_map(static fn (Proposal $p): ProposalKind => $p->kind, $open);
        $this->isLongAway = \in_array(ProposalKind::PlaceAgain, $kinds, true);
        $this->isTired = \in_array(ProposalKind::Shorten, $kinds, true);
    }

    /** @param list<Item> $items of the routine */
    public function of(array $items): GivenSitting
    {
        $given = $out = [];
        foreach ($this->prepared->waiting($items, $this->why(...)) as $place => $why) {
            $item = $items[$place];
            if (null !== $why) {
                $out[] = LeftOut::waiting($item, $why);
                continue;
            }
            $given[] = $this->once($this->eased($this->afterLong($item)));
        }

        $items = $this->framed(self::withoutEdgePauses($given), $items);

        return new GivenSitting(
            self::withoutEdgePauses($this->inTime($this->inEffort($items))),
            $out,
        );
    }

    /**
     * A sitting whose begin or end rests today has the quiet one that everybody may do.
     *
     * @param list<Item> $given
     * @param list<Item> $routine
     *
     * @return list<Item>
     */
    private function framed(array $given, array $routine): array
    {
        if ([] === $given || [] === $routine) {
            return [];
        }
        $begin = $routine[0]->isWarmUp() && !$given[0]->isWarmUp()
            ? $this->door?->standIn(SittingRole::WarmUp)
            : null;
        $end = end($routine)->isCoolDown() && !end($given)->isCoolDown()
            ? $this->door?->standIn(SittingRole::CoolDown)
            : null;

        return array_values(array_filter([$begin, ...$given, $end]));
    }

    /** Why it rests today; null: it does not. */
    private function why(Item $item): ?Phrase
    {
        return match (true) {
            isset($this->earlier->onceOnly[$item->rung->id]) => new Phrase('left_out.once_a_day'),
            isset($this->resting[$item->key()]) => new Phrase('left_out.at_least'),
            $this->isLongAway && self::waitsAfterLong($item) => new Phrase('left_out.long_away'),
            default => $this->door?->stops($item)?->why,
        };
    }

    public static function waitsAfterLong(Item $item): bool
    {
        return match ($item->rung->load->class) {
            EffortClass::Practice, EffortClass::Task => $item->rung->load->intensity > self::AFTER_LONG
                && Purpose::Attempt !== $item->rung->demands->purpose,
            EffortClass::Strength, EffortClass::Device => true,
            EffortClass::Calm, EffortClass::Prep => false,
        };
    }

    /** Begins again where it began; what keeps the hand long goes on one step lower. */
    private function afterLong(Item $item): Item
    {
        if (!$this->isLongAway || $item->isPause) {
            return $item;
        }
        $dosing = $item->rung->dosing;
        $to = match (true) {
            $item->rung->load->class->needsPreparation() => $dosing->start,
            Purpose::Lengthening === $item->rung->demands->purpose => (new DoseSteps($item->rung))->down(
                $item->dose,
            ),
            default => null,
        };

        return null === $to
            ? $item
            : self::lowered($item, $dosing->with($to, $dosing->amountOf($item->dose)));
    }

    private function eased(Item $item): Item
    {
        $of = $item->isPause ? [] : $this->easier[$item->key()] ?? [];
        $given = (new Prescribed($item->rung, $item->hands, $item->dose))->under($of)->dose;

        return self::lowered($item, $given);
    }

    /** Never to more. */
    private static function lowered(Item $item, Dose $to): Item
    {
        return $to->isAtMost($item->dose) && !$item->dose->isAtMost($to)
            ? $item->withDose($to)->varied(new Phrase('variant.eased'))
            : $item;
    }

    private function once(Item $item): Item
    {
        if ($item->isPause || !$this->isBeginning()) {
            return $item;
        }
        $dosing = $item->rung->dosing;

        return $item->withDose($dosing->with($item->dose, $dosing->amounts->amounts()[0]));
    }

    /** So are the first days after a long time away. */
    private function isBeginning(): bool
    {
        return $this->practiceDays < self::FIRST_DAYS || $this->isLongAway;
    }

    /**
     * Over all sittings of a day there is a most.
     *
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private function inEffort(array $items): array
    {
        $left = self::DAILY_EFFORT * $this->seconds / 60.0 - $this->earlier->effort;

        return $this->earlier->effort > 0.0 ? LessTime::forEffort($items, $left) : $items;
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private function inTime(array $items): array
    {
        $share = min(
            $this->isBeginning() ? self::FIRST_SHARE : 1.0,
            $this->isTired ? self::TIRED_SHARE : 1.0,
        );

        return $share < 1.0 ? LessTime::forSeconds($items, (int) floor($share * $this->seconds)) : $items;
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private static function withoutEdgePauses(array $items): array
    {
        while ([] !== $items && $items[array_key_last($items)]->isPause) {
            array_pop($items);
        }
        while ([] !== $items && $items[0]->isPause) {
            array_shift($items);
        }

        return $items;
    }
}
