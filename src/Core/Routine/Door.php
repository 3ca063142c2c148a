<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Placement\Barred;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\HandOfClient;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Override;
use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Words\Phrase;

/**
 * The one door: may this be given to this client, by these people, here, today? Whatever brings an exercise in asks
 * here: a suggestion, a therapist's hand, an accepted proposal, a case file, the player. How hard it may be is held by
 * the range of its doses.
 */
final readonly class Door
{
    private Performers $performers;

    public function __construct(
        private Catalogue $catalogue,
        private ClientFacts $facts,
        private KnownFacts $known,
        private \DateTimeImmutable $today,
    ) {
        $this->performers = new Performers($facts, $known);
    }

    /** @return list<Refusal> empty: it may; each reason once, what nobody can lift first */
    public function refusals(Rung $rung, Hands $hands): array
    {
        $found = $this->ofAll($rung, $hands);
        foreach ($this->hands($hands) as $side) {
            array_push($found, ...$this->ofHand($rung, $side));
        }
        $once = [];
        foreach ($found as $refusal) {
            $once[serialize($refusal->why)] ??= $refusal;
        }
        usort(
            $once,
            static fn (Refusal $a, Refusal $b): int => $a->isByNote <=> $b->isByNote,
        );

        return $once;
    }

    /** What nobody's note lifts; null: there is none. */
    public function closes(Rung $rung, Hands $hands): ?Refusal
    {
        $first = $this->refusals($rung, $hands)[0] ?? null;

        return true === $first?->isByNote ? null : $first;
    }

    /** What nobody's note lifts, or what is known to be false and was not set aside; null: it goes on. */
    public function stops(Item $item): ?Refusal
    {
        $isOpened = $this->isOpened($item->kept);
        foreach ($this->refusals($item->rung, $item->hands) as $refusal) {
            if (!$refusal->isByNote || (!$refusal->isUnknown && !$isOpened)) {
                return $refusal;
            }
        }

        return null;
    }

    /** What begins or ends a sitting where nothing else may; null: not even that may be given. */
    public function standIn(SittingRole $role): ?Item
    {
        $quiet = array_values(array_filter(
            $this->catalogue->rungs(),
            static fn (Rung $rung): bool => $rung->plays(RungPart::StandsIn),
        ));
        usort($quiet, static fn (Rung $a, Rung $b): int => ($b->sitting->role === $role)
            <=> ($a->sitting->role === $role));
        foreach ($quiet as $rung) {
            $item = new Item(
                $rung,
                Hands::Together,
                $rung->dosing->start,
                Phrase::own($rung->instructions->why),
            );
            if (null === $this->stops($item)) {
                return $item;
            }
        }

        return null;
    }

    /** Whether a cramp that has let go may be smoothed out on the hand, by whoever is there. */
    public function letsSmooth(Side $side): bool
    {
        foreach ($this->catalogue->rungs() as $rung) {
            if ($rung->plays(RungPart::SmoothsCramp)) {
                return null === $this->closes($rung, Hands::fromSide($side));
            }
        }

        return false;
    }

    /** Whether a therapist's note still holds that set something aside. */
    public function isOpened(?Kept $kept): bool
    {
        return null !== $kept?->openedOn
            && $kept->openedOn->modify('+'.Override::NOTE_DAYS.' days') >= $this->today;
    }

    /** @return list<Refusal> */
    private function ofAll(Rung $rung, Hands $hands): array
    {
        $found = $this->rests($rung, $hands) ? [Refusal::closed(new Phrase('left_out.rests'))] : [];
        $blocks = $this->facts->measured->screening->blocks(
            $rung,
            $this->catalogue->ladderOf($rung->id)->strand->value,
            $this->facts->setting->supervised,
            $this->today,
        );
        foreach ($blocks as $block) {
            $found[] = Refusal::closed($block->words());
        }
        if (!$rung->fit->suits($this->facts->people->conditions)) {
            $why = new Phrase('left_out.no_fit');
            $found[] = $this->facts->has(Condition::AdvancedDementia)
                ? Refusal::closed($why)
                : Refusal::byNote($why);
        }

        return $found;
    }

    /** After a symptom the item rests, or all that works a part, or everything; what calms goes on. */
    private function rests(Rung $rung, Hands $hands): bool
    {
        $keys = [(new ItemKey($rung->id, $hands))->text(), Decided::EVERYTHING];
        $parts = EffortClass::Calm === $rung->load->class
            ? []
            : $rung->demands->works->parts(...WorkKind::cases());
        foreach ($parts as $part) {
            foreach ($hands->each() as $side) {
                $keys[] = Decided::partKey($part, $side);
            }
        }

        return [] !== array_intersect($keys, $this->facts->decided->suspended);
    }

    /** @return list<Refusal> */
    private function ofHand(Rung $rung, Side $side): array
    {
        $hand = new HandOfClient($side, $this->facts, $this->known);
        $barred = Barred::of($rung, $hand);
        $found = [];
        foreach ($barred->by as $caution) {
            $why = Phrase::own($caution->phrase);
            $found[] = $caution->byNote ? Refusal::byNote($why) : Refusal::closed($why);
        }
        foreach ($barred->open as $caution) {
            $found[] = Refusal::unknown(new Phrase(
                'left_out.unknown',
                ['what' => $caution->phrase],
            ));
        }
        if ([] === $this->performers->able($rung, $side)) {
            $found[] = Refusal::closed($this->performers->needed($rung));
        }
        if ($rung->isShownFirst() && !$this->facts->wasShown($rung->id, $side)) {
            $found[] = Refusal::toShow();
        }
        $truth = $rung->fit->entry->judge($this->known, $side)->truth;
        if (Truth::False === $truth) {
            $found[] = Refusal::byNote(new Phrase('left_out.entry'));
        } elseif (Truth::Unknown === $truth) {
            $found[] = Refusal::unknown(new Phrase('left_out.entry_unknown'));
        }

        return $found;
    }

    /** @return list<Side> that work in it; of a hand nobody treats nothing is asked */
    private function hands(Hands $hands): array
    {
        return array_values(array_filter(
            $this->facts->people->affected,
            static fn (Side $side): bool => $hands->covers($side),
        ));
    }
}
