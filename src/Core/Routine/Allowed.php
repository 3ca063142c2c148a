<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\Approaches;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** Makes items of offered rungs: for which hand, with what dose; and notes why a rung may not come in. */
final class Allowed
{
    /** @var array<string, LeftOut> */
    private array $refused = [];

    private readonly ClientFacts $facts;

    private readonly Placements $placements;

    private readonly Door $door;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Brief $brief,
        private readonly KnownFacts $known,
        private readonly Approaches $approaches,
        private readonly Objective $objective,
    ) {
        $this->facts = $brief->facts;
        $this->placements = $brief->placements;
        $this->door = new Door($catalogue, $brief->facts, $known, $brief->today);
    }

    /** @return list<LeftOut> what material, performer, approach, suspension or the therapist keeps out, each once */
    public function refused(): array
    {
        return array_values($this->refused);
    }

    public function refuse(string $name, Phrase $reason): void
    {
        $this->refused[serialize([$name, $reason])] = new LeftOut(
            Joint::Comma->joining([$name]),
            $reason,
        );
    }

    /**
     * @return list<Item> what the therapist keeps in, without what nobody's note lifts and what is known to speak
     *    against it by now
     */
    public function stillPinned(): array
    {
        $still = [];
        foreach ($this->brief->edits->pinned as $item) {
            $refusal = $this->door->stops($item);
            if (null === $refusal) {
                $still[] = $item->withDose($this->shortened($item->rung, $item->dose));
            } else {
                $this->refuse($item->rung->name, $refusal->why);
            }
        }

        return $still;
    }

    /**
     * An item as it would stand in the routine; null when it is not allowed, which is then noted.
     *
     * @param ?Phrase $reason null: why the exercise is done at all
     */
    public function item(
        Rung $rung,
        LadderPlacement $placed,
        ?Phrase $reason,
        int $worth,
        ?string $block = null,
    ): ?Item {
        $missing = $this->missingMaterial($rung)
            ?? $this->approaches->refuses($rung, $placed->side);
        if (null !== $missing) {
            $this->refuse($rung->name, $missing);

            return null;
        }
        $hands = $this->handsFor($rung, $placed);
        if (null === $hands) {
            return null;
        }
        $refusal = $this->isRefused($rung, $hands);
        if (null !== $refusal) {
            $this->refuse($rung->name, $refusal->why);

            return null;
        }
        $item = new Item(
            $rung,
            $hands,
            $this->dose($rung, $hands),
            $reason ?? Phrase::own($rung->instructions->why),
            block: $block,
            variant: $this->variant($rung, $placed->side),
            worth: $worth - $this->objective->ofThings($rung),
        );
        if ($this->brief->edits->isForbidden($item)) {
            $this->refuse($rung->name, new Phrase('left_out.by_therapist'));

            return null;
        }
        $pinned = $this->brief->edits->pinned($item->key());

        return null === $pinned
            ? $item
            : $item->withDose($this->shortened($rung, $pinned->dose))->withKept($pinned->kept);
    }

    /** What stands on its ladder is asked for everything but what the placement has judged already. */
    private function isRefused(Rung $rung, Hands $hands): ?Refusal
    {
        $kept = $this->brief->edits->pinned((new ItemKey($rung->id, $hands))->text())?->kept;
        foreach ($this->door->refusals($rung, $hands) as $refusal) {
            if (!$refusal->isByNote || ($refusal->isToShow && !$this->door->isOpened($kept))) {
                return $refusal;
            }
        }

        return null;
    }

    private function handsFor(Rung $rung, LadderPlacement $placed): ?Hands
    {
        if (DoneOn::BothTogether === $rung->fit->doneOn) {
            // once, not once a hand
            return $placed->side === $this->facts->people->affected[0] ? Hands::Together : null;
        }
        $certain = $this->certainHand($rung->fit->doneOn);
        if (null !== $certain) {
            return $placed->side === $this->facts->people->affected[0] ? Hands::fromSide($certain) : null;
        }
        if (DoneOn::Affected === $rung->fit->doneOn) {
            return Hands::fromSide($placed->side);
        }
        if (1 === \count($this->facts->people->affected)) {
            return Hands::fromSide(
                $placed->side,
            ); // the sound hand is dosed only where an exercise needs two
        }
        $other = $this->placements->find($placed->ladder->key, $placed->side->opposite());
        $alike = null === $other || \in_array($rung, $other->offered(), true);

        return match (true) {
            !$alike => Hands::fromSide($placed->side),
            $placed->side === $this->facts->people->affected[0] => Hands::Each,
            default => null,
        };
    }

    /** The hand that a rung is for whichever is affected; null: it goes by the affected side. */
    private function certainHand(DoneOn $doneOn): ?Side
    {
        return match ($doneOn) {
            DoneOn::WritingHand => $this->facts->people->writingHand,
            DoneOn::NonDominant => $this->handThatDoesNotCramp(),
            DoneOn::SteadierHand => $this->facts->people->affected[0]->opposite(),
            DoneOn::Affected, DoneOn::EachHand, DoneOn::BothTogether => null,
        };
    }

    /**
     * In task dystonia what a hand feels is mapped on the one that does not write, unless that is the one that cramps;
     * null: after a stroke, a brain injury and wherever feeling is lost it is the affected hand itself.
     */
    private function handThatDoesNotCramp(): ?Side
    {
        $people = $this->facts->people;
        $isAffectedItself = $this->facts->has(Condition::Stroke)
            || $this->facts->has(Condition::BrainInjury)
            || !$this->facts->has(Condition::Dystonia)
            || false === $this->known->value('touch_felt', null, $people->affected[0]);
        if ($isAffectedItself) {
            return null;
        }
        $other = $people->writingHand->opposite();

        return $people->affected === [$other] ? $people->writingHand : $other;
    }

    private function dose(Rung $rung, Hands $hands): Dose
    {
        $dose = $this->brief->doses[(new ItemKey($rung->id, $hands))->text()]
            ?? (new FirstDose($this->known))->of($rung, $hands);

        return $this->shortened(
            $rung,
            $rung->dosing->with($dose, $rung->dosing->amounts->amounts()[0]),
        );
    }

    /** Whoever set a dose, screening has the last word on how long a hold may be. */
    private function shortened(Rung $rung, Dose $dose): Dose
    {
        return $this->facts->measured->screening->shortened(
            $dose,
            $rung,
            $this->brief->today,
        );
    }

    private function variant(Rung $rung, Side $side): ?Phrase
    {
        if (!$rung->load->wantsFirmWrist) {
            return null;
        }
        $hold = $this->known->value('wrist_ext_hold_s', null, $side);

        return \is_float($hold) && $hold >= 5.0
            ? null
            : new Phrase('variant.firm_wrist');
    }

    private function missingMaterial(Rung $rung): ?Phrase
    {
        $atHand = $this->facts->setting->materials;
        if (null === $atHand) {
            return null; // never asked: nothing is left out for it
        }
        foreach ($rung->fit->materials as $material) {
            if (!\in_array($material, $atHand, true)) {
                return new Phrase(
                    'left_out.material',
                    ['material' => $this->catalogue->handbook()->material($material)->label ?? $material],
                );
            }
        }

        return null;
    }
}
