<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** Who can do an exercise with this client, here and now: somebody counts only if able. */
final readonly class Performers
{
    /** Why it waits while somebody is there who was not shown it. */
    public const NOT_SIGNED = 'left_out.not_signed';
    /** Percent by which the other hand has to open by itself to work as a helper's. */
    private const OPENS_FROM = 60.0;
    /** Tone of its fingers from which it does not. */
    private const TONE_BELOW = 2.0;
    /** What sitting with a back and arms to lean on does not carry. */
    private const UNSUPPORTED = [Asks::Reach, Asks::Lean, Asks::Raise, Asks::Weight, Asks::EyesClosed, Asks::Standing];
    /** What a hand that works for the other one may not have. */
    private const SPARED = [
        'painful' => ['wrist', 'fingers', 'thumb_base'],
        'unstable' => ['wrist', 'fingers', 'thumb_base'],
        'recent_injury' => ['wrist', 'fingers', 'thumb', 'forearm'],
    ];

    public function __construct(
        private ClientFacts $facts,
        private KnownFacts $known,
    ) {
    }

    /** @return list<Performer> of those the exercise names; empty: nobody is */
    public function able(Rung $rung, Side $side): array
    {
        return array_values(array_filter(
            $rung->fit->performers,
            fn (Performer $performer): bool => $this->isAble(
                $performer,
                $rung->id,
                $rung->demands->asks,
                side: $side,
            ),
        ));
    }

    /** Who is needed where nobody is able. */
    public function needed(Rung $rung): Phrase
    {
        return match (true) {
            $this->isAlone() => new Phrase('left_out.nobody_there'),
            $this->facts->setting->helperHere && $rung->asksForHands() => new Phrase(self::NOT_SIGNED),
            default => new Phrase('left_out.performer', ['who' => Joint::Or->joining(array_map(
                static fn (Performer $p): string => $p->value,
                $rung->fit->performers,
            ))]),
        };
    }

    /** Nobody may be left alone with an exercise, and nobody is there. */
    public function isAlone(): bool
    {
        return $this->facts->has(Condition::AdvancedDementia) && !$this->facts->setting->isBeside();
    }

    /** @param list<Asks> $asks of the exercise or of the part of a task that goes by the id */
    public function isAble(Performer $performer, string $id, array $asks, Side $side): bool
    {
        $setting = $this->facts->setting;

        return match ($performer) {
            Performer::ClientAlone => $this->worksAlone($asks, $side),
            Performer::OwnOtherHand => $this->worksAlone($asks, $side) && $this->helps($side->opposite()),
            Performer::Helper => $setting->supervised
                || ($setting->helperHere && $setting->isSigned($id, $side)),
            Performer::HelperPrompts => $setting->isBeside(),
            Performer::TrainedTherapist => !$setting->atHome && $setting->supervised,
        };
    }

    /**
     * Follows one step and sits as the exercise asks: safely by itself for what leaves the middle of the seat.
     *
     * @param list<Asks> $asks
     */
    private function worksAlone(array $asks, Side $side): bool
    {
        if ($this->facts->has(Condition::AdvancedDementia)) {
            return false;
        }
        $steps = $this->known->value('commands_n', null, $side);
        if (\is_float($steps) && $steps < 1.0) {
            return false;
        }
        $sits = $this->known->value('sits_safely', null, $side);
        if (true === $sits || $this->facts->setting->supervised) {
            return true;
        }
        $leaves = array_filter(
            $asks,
            static fn (Asks $a): bool => \in_array($a, self::UNSUPPORTED, true),
        );

        return [] === $leaves
            && (null === $sits || true === $this->known->value('sits_supported', null, $side));
    }

    /** A sound hand, or one that opens by itself, is not tight, and neither hurts nor has lost its feeling. */
    private function helps(Side $hand): bool
    {
        if (!\in_array($hand, $this->facts->people->affected, true)) {
            return true;
        }
        $opens = $this->known->value('opening_active_pct', null, $hand);
        $tone = $this->known->value('tone_finger', null, $hand);
        if (
            !\is_float($opens) || $opens < self::OPENS_FROM
            || !\is_float($tone) || $tone >= self::TONE_BELOW
            || false === $this->known->value('touch_felt', null, $hand)
        ) {
            return false;
        }
        foreach (self::SPARED as $trouble => $parts) {
            foreach ($parts as $part) {
                if (true === $this->known->value($trouble, $part, $hand)) {
                    return false;
                }
            }
        }

        return true;
    }
}
