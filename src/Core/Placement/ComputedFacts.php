<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Reading;

/** What follows from several measures together; null where it cannot be told yet. */
final readonly class ComputedFacts
{
    private const SOFT_PASSIVE_FROM = 90.0;
    private const SOFT_ACTIVE_BELOW = 30.0;
    private const HELP_FROM = 60.0;
    private const HELP_GAINS = 20.0;
    /** Grade 1+ of the tone scale, which counts as one and a half. */
    private const TIGHT_FROM = 1.5;
    /** Of the other hand. */
    private const SLOW_BELOW = 0.7;
    private const INJECTION_DAYS = [14, 84];
    private const OF_A_SOFT_HAND = ['tone_finger', 'tone_wrist', 'opening'];

    public function __construct(
        private ClientFacts $facts,
        private KnownFacts $known,
        private \DateTimeImmutable $today,
    ) {
    }

    public function value(string $code, Side $side): ?bool
    {
        return match ($code) {
            'soft_hand' => $this->softHand($side),
            'opens_with_help' => $this->opensWithHelp($side),
            'grip_weak' => $this->gripWeak($side),
            'taps_slow' => $this->tapsSlow($side),
            'injected_2_12w' => $this->injected($side),
            default => null,
        };
    }

    /** It ends only when measured otherwise on two days. */
    private function softHand(Side $side): ?bool
    {
        $now = self::isSoft($this->known, $side);
        if (false !== $now) {
            return $now;
        }
        $days = array_map(
            static fn (Reading $r): string => $r->on->format('Y-m-d'),
            $this->facts->measured->readings->where(
                static fn (Reading $r): bool => $r->side === $side
                    && \in_array($r->code, self::OF_A_SOFT_HAND, true),
            )->current(),
        );
        if ([] === $days) {
            return false;
        }
        $newest = max($days);
        $before = $this->facts->withReadings($this->facts->measured->readings->where(
            static fn (Reading $r): bool => $r->on->format('Y-m-d') < $newest,
        ));

        return true === self::isSoft($this->known->of($before), $side);
    }

    private static function isSoft(KnownFacts $known, Side $side): ?bool
    {
        $tones = [$known->value('tone_finger', null, $side), $known->value('tone_wrist', null, $side)];
        $passive = $known->value('opening_passive_pct', null, $side);
        $active = $known->value('opening_active_pct', null, $side);
        if (
            [] !== array_filter(
                $tones,
                static fn (mixed $t): bool => \is_float($t) && $t > 0.0,
            )
            || (\is_float($passive) && $passive < self::SOFT_PASSIVE_FROM)
            || (\is_float($active) && $active >= self::SOFT_ACTIVE_BELOW)
        ) {
            return false;
        }

        return \in_array(null, [...$tones, $passive], true) ? null : true;
    }

    private function opensWithHelp(Side $side): ?bool
    {
        $passive = $this->known->value('opening_passive_pct', null, $side);
        $active = $this->known->value('opening_active_pct', null, $side);

        return \is_float($passive) && \is_float($active)
            ? $passive >= self::HELP_FROM && $passive - $active >= self::HELP_GAINS
            : null;
    }

    /** Under half of the other hand without tightness; where both are affected there is nothing to compare with. */
    private function gripWeak(Side $side): ?bool
    {
        if (\count($this->facts->people->affected) > 1) {
            return null;
        }
        $own = $this->newest('grip_kg', $side);
        $other = $this->newest('grip_kg', $side->opposite());
        $tone = $this->known->value('tone_finger', null, $side);
        $curls = $this->known->value('curls', null, $side);
        if (null === $own || null === $other || !\is_float($tone) || !\is_bool($curls)) {
            return null;
        }

        return $own < $other / 2.0 && $tone < self::TIGHT_FROM && !$curls;
    }

    private function tapsSlow(Side $side): ?bool
    {
        $own = $this->newest('taps_15s_n', $side);
        $other = $this->newest('taps_15s_n', $side->opposite());

        return null === $own || null === $other ? null : $own < self::SLOW_BELOW * $other;
    }

    private function newest(string $code, Side $side): ?float
    {
        $reading = $this->facts->measured->readings->newest($code, $side);

        return $reading instanceof Reading && \is_float($reading->value) ? $reading->value : null;
    }

    private function injected(Side $side): bool
    {
        $injection = $this->facts->measured->injection;
        $days = $injection?->daysAt($this->today) ?? -1;

        return \in_array($side, $injection->sides ?? [], true)
            && $days >= self::INJECTION_DAYS[0]
            && $days <= self::INJECTION_DAYS[1];
    }
}
