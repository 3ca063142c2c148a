<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Words\Phrase;

/** What an exercise itself says has to be lengthened or opened before it. */
final readonly class StretchedBefore implements SittingRule
{
    use NeedsComeFirst;

    private const FINGERS = 'finger flexors';
    private const WRIST = 'wrist flexors';

    public function __construct(
        private HandsAtWork $hands,
    ) {
    }

    public function needs(Item $item): array
    {
        $asked = $item->rung->sitting->need;
        $needs = [];
        foreach ($item->hands->each() as $side) {
            $needs[] = null === $asked ? null : $this->need($asked, $side);
        }

        return array_values(array_filter($needs));
    }

    private function need(SittingNeed $need, Side $side): ?Need
    {
        return match ($need) {
            SittingNeed::Length => $this->length(self::WRIST, 'wrist_and_fingers', $side),
            SittingNeed::FingerLength => $this->length(self::FINGERS, 'fingers', $side),
            SittingNeed::WebsOpened => self::plays(RungPart::OpensWebs, 'webs', $side),
            // a wrist that must not be eased stays forward, as it is: the fingers open more easily so
            SittingNeed::WristEasedBack => $this->hands->isBarred(RungPart::EasesWristBack, $side)
                ? null
                : self::plays(RungPart::EasesWristBack, 'wrist', $side),
            SittingNeed::StretchWhenTight => match (true) {
                !$this->hands->mayHaveFingerTone($side) => null,
                $this->hands->tightHandOpeningFits
                    && !$this->hands->isBarred(RungPart::OpensTightHand, $side) => self::plays(
                        RungPart::OpensTightHand,
                        'tight_hand',
                        $side,
                    ),
                default => self::lengthens(self::FINGERS, 'tight_hand', $side),
            },
        };
    }

    /** A soft hand has nothing to lengthen: it was moved gently. */
    private function length(string $group, string $words, Side $side): Need
    {
        return $this->hands->isSoft($side)
            ? self::movesGently($side)
            : self::lengthens(
                $group,
                $words,
                $side,
            );
    }

    private static function movesGently(Side $side): Need
    {
        return new Need(
            'moved gently '.$side->value,
            new Phrase('sitting_rule.need.moved_gently'),
            static fn (Item $i): bool => $i->covers($side)
                && !$i->rung->load->class->needsPreparation()
                && [] !== array_uintersect(
                    $i->rung->demands->works->parts(WorkKind::Moves),
                    [ArmPart::Wrist, ArmPart::Thumb, ArmPart::Fingers],
                    static fn (ArmPart $a, ArmPart $b): int => $a->value <=> $b->value,
                ),
        );
    }

    private static function lengthens(string $group, string $words, Side $side): Need
    {
        return new Need(
            'length '.$group.' '.$side->value,
            new Phrase('sitting_rule.need.'.$words),
            static fn (Item $i): bool => $i->covers($side) && \in_array(
                $group,
                $i->rung->load->lengthens,
                true,
            ),
        );
    }

    private static function plays(RungPart $part, string $words, Side $side): Need
    {
        return new Need(
            'did '.$part->value.' '.$side->value,
            new Phrase('sitting_rule.need.'.$words),
            static fn (Item $i): bool => $i->covers($side) && $i->rung->plays($part),
        );
    }
}
