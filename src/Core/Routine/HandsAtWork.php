<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\LadderPart;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;

/** What the rules of a sitting have to know of a client's hands and of the ladders that grip and let go. */
final readonly class HandsAtWork
{
    private const TONE = 1.0;
    private const TIGHT = 2.0;

    /**
     * @param array<string, float> $fingerToneBySide     rank per side; a side that is not known is missing and
     *     counts as tight
     * @param bool                 $tightHandOpeningFits whether it is for clients with these conditions
     * @param list<Side>           $tight                affected hands with finger tone of 2 or more, or that curl, or
     *     of which neither is known
     * @param array<string, true>  $gripping             ids of the rungs of gripping ladders
     * @param array<string, true>  $lettingGo            ids of the rungs of opening ladders
     * @param array<string, true>  $barred               by part of a rung and side: all rungs that play it are kept out
     * @param array<string, true>  $soft                 sides with nothing to lengthen
     */
    public function __construct(
        private array $fingerToneBySide,
        public bool $tightHandOpeningFits,
        private array $tight = [],
        private array $gripping = [],
        private array $lettingGo = [],
        private array $barred = [],
        private array $soft = [],
    ) {
    }

    public static function from(
        Catalogue $catalogue,
        KnownFacts $known,
        ClientFacts $facts,
    ): self {
        $tone = $tight = $soft = [];
        foreach (Side::cases() as $side) {
            $rank = $known->value('tone_finger', null, $side);
            if (\is_float($rank)) {
                $tone[$side->value] = $rank;
            } elseif (\in_array($side, $facts->people->unaffected, true)) {
                $tone[$side->value] = 0.0;
            }
            $isAffected = \in_array($side, $facts->people->affected, true);
            $soft += $isAffected && true === $known->value(
                'soft_hand',
                null,
                $side,
            )
                ? [$side->value => true]
                : [];
            $isTight = ($tone[$side->value] ?? self::TIGHT) >= self::TIGHT;
            if ($isAffected && ($isTight || true === $known->value('curls', null, $side))) {
                $tight[] = $side;
            }
        }
        $openingFits = false;
        $may = self::nothingFits($facts->people->affected);
        $rungs = [Strand::Grip->value => [], Strand::Open->value => []];
        foreach ($catalogue->ladders() as $ladder) {
            $openingFits = $openingFits || (
                $ladder->plays(LadderPart::TightHandOpening)
                && [] !== $ladder->fittingRungs($facts->people->conditions)
            );
            foreach ($ladder->fittingRungs($facts->people->conditions) as $rung) {
                foreach ([] === $rung->sitting->parts ? [] : $facts->people->affected as $side) {
                    $may = self::whatMay($rung, $side, $known, $may);
                }
            }
            foreach (isset($rungs[$ladder->strand->value]) ? $ladder->rungs : [] as $rung) {
                $rungs[$ladder->strand->value][$rung->id] = true;
            }
        }

        return new self(
            $tone,
            $openingFits,
            $tight,
            $rungs[Strand::Grip->value],
            lettingGo: $rungs[Strand::Open->value],
            barred: array_fill_keys(
                array_keys(array_filter($may, static fn (bool $is): bool => !$is)),
                true,
            ),
            soft: $soft,
        );
    }

    /**
     * What prepares but fits none of the client's conditions is not asked for: a chain begins with what comes next.
     *
     * @param list<Side> $affected
     *
     * @return array<string, bool> by part of a rung and side
     */
    private static function nothingFits(array $affected): array
    {
        $may = [];
        foreach ([RungPart::EasesWristBack, RungPart::OpensTightHand, RungPart::OpensWebs] as $part) {
            foreach ($affected as $side) {
                $may[$part->value.'|'.$side->value] = false;
            }
        }

        return $may;
    }

    /**
     * @param array<string, bool> $may by part of a rung and side: whether one of the rungs that play it may be done
     *
     * @return array<string, bool>
     */
    private static function whatMay(
        Rung $rung,
        Side $side,
        KnownFacts $known,
        array $may,
    ): array {
        $isBarred = false;
        foreach ([...$rung->fit->cautions, ...$rung->fit->bars] as $caution) {
            $while = $caution->blocksWhile;
            $isBarred = $isBarred
                || (null !== $while && $known->judged($while, $side)->isTrue());
        }
        foreach ($rung->sitting->parts as $part) {
            $key = $part->value.'|'.$side->value;
            $may[$key] = ($may[$key] ?? false) || !$isBarred;
        }

        return $may;
    }

    /** Whatever plays this part for a hand is kept out by what is known of the hand. */
    public function isBarred(RungPart $part, Side $side): bool
    {
        return isset($this->barred[$part->value.'|'.$side->value]);
    }

    /** Whether it has nothing to lengthen: gentle movement prepares it. */
    public function isSoft(Side $side): bool
    {
        return isset($this->soft[$side->value]);
    }

    public function mayHaveFingerTone(Side $side): bool
    {
        return ($this->fingerToneBySide[$side->value] ?? self::TONE) >= self::TONE;
    }

    public function isTight(Item $item): bool
    {
        foreach ($this->tight as $side) {
            if ($item->covers($side)) {
                return true;
            }
        }

        return false;
    }

    public function isGripping(Item $item): bool
    {
        return isset($this->gripping[$item->rung->id]);
    }

    /** Whether it lets go with a hand that has gripped. */
    public function letsGo(Item $item, Item $gripped): bool
    {
        foreach (isset($this->lettingGo[$item->rung->id]) ? $gripped->hands->each() : [] as $side) {
            if ($item->covers($side)) {
                return true;
            }
        }

        return false;
    }
}
