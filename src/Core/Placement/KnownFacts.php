<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Vocabulary;
use HandGarden\Core\Condition\Condition as EntryCondition;
use HandGarden\Core\Condition\FactSource;
use HandGarden\Core\Condition\Verdict;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\NumberFact;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Reading;

/**
 * What counts as known today: readings that are young enough, what screening settles, and what stronger evidence says
 * about the rest.
 */
final class KnownFacts implements FactSource
{
    /** Known only while a sitting runs; before it they do not hold. */
    private const OF_THE_SITTING = ['gate_passed', 'tone_dropped_now', 'done_today', 'in_routine'];
    /** Days for which numbers, try-outs and observations count. */

    /** @var array<string, NumberFact> */
    private readonly array $numbers;

    private readonly \DateTimeImmutable $since;

    private readonly \DateTimeImmutable $shortSince;

    /** @var array<string, float|bool|string|null> */
    private array $memo = [];

    /** @var array<string, Verdict> by text and side: many exercises share a condition, each with its own copy of it */
    private array $judged = [];

    /** @var \WeakMap<EntryCondition, string> as writing a condition down takes longer than looking it up */
    private \WeakMap $texts;

    private ?self $lasting = null;

    private ?FactSource $settling = null;

    /** @var array<string, Independence> by side */
    private array $independence = [];

    /**
     * @var array<string, true> evidence being followed, so that two facts that settle each other do not turn in
     *    circles
     */
    private array $following = [];

    public function __construct(
        private readonly ClientFacts $facts,
        private readonly Vocabulary $vocabulary,
        public readonly \DateTimeImmutable $today,
        private readonly ?Standing $standing = null,
        bool $neverAges = false,
    ) {
        $this->numbers = $vocabulary->kinds->numbers;
        $this->texts = new \WeakMap();
        if ($neverAges) {
            $this->since = $this->shortSince = new \DateTimeImmutable('@0');

            return;
        }
        $ages = $facts->thresholds->ages;
        $this->since = $today->modify('-'.$ages->numberDays.' days');
        $injected = $facts->measured->injection?->on;
        $fresh = null !== $injected
            && $injected->modify('+'.$ages->injectionWeeks.' weeks') >= $today;
        $this->shortSince = $today->modify(
            '-'.($fresh ? $ages->shortAfterInjectionDays : $ages->shortDays).' days',
        );
    }

    public function value(
        string $code,
        ?string $argument,
        Side $side,
    ): float|bool|string|null {
        $key = $code.'|'.$argument.'|'.$side->value;
        if (!\array_key_exists($key, $this->memo)) {
            $value = $this->direct($code, $argument, $side)
                ?? (null === $argument ? $this->fromStrongerEvidence($code, $side) : null);
            if ([] !== $this->following) {
                return $value; // may be incomplete while circling; not to be kept
            }
            $this->memo[$key] = $value;
        }

        return $this->memo[$key];
    }

    /** A condition that many exercises share is judged once a side. */
    public function judged(EntryCondition $condition, Side $side): Verdict
    {
        $text = $this->texts[$condition] ??= (string) $condition;

        return $this->judged[$text.'|'.$side->value] ??= $condition->judge($this, $side);
    }

    /** The same, with every reading counting until a newer one replaces it. */
    public function lasting(): self
    {
        return $this->lasting ??= new self(
            $this->facts,
            $this->vocabulary,
            $this->today,
            $this->standing,
            neverAges: true,
        );
    }

    public function gate(string $name): Caution
    {
        return $this->vocabulary->gates[$name];
    }

    /** What may say that an exercise lies behind a hand. */
    public function settling(): FactSource
    {
        return $this->settling ??= new SettlingFacts(
            $this->afterInjection(),
            $this->facts->measured->readings,
        );
    }

    private function afterInjection(): self
    {
        $on = $this->facts->measured->injection?->on;
        if (null === $on || $on > $this->today) {
            return $this;
        }

        return $this->of($this->facts->withReadings($this->facts->measured->readings->where(
            static fn (Reading $r): bool => $r->on >= $on,
        )));
    }

    /** The same day with other facts. */
    public function of(ClientFacts $facts): self
    {
        return new self($facts, $this->vocabulary, $this->today);
    }

    public function writingHand(): Side
    {
        return $this->facts->people->writingHand;
    }

    public function steadierHand(): Side
    {
        return $this->facts->people->affected[0]->opposite();
    }

    public function isSided(string $code): bool
    {
        return $this->vocabulary->isSided($code);
    }

    private function direct(
        string $code,
        ?string $argument,
        Side $side,
    ): float|bool|string|null {
        return match (true) {
            'has' === $code => \in_array(
                $argument,
                array_map(
                    static fn (Condition $c): string => $c->factArgument(),
                    $this->facts->people->conditions,
                ),
                true,
            ),
            'supervised' === $code => $this->facts->setting->supervised,
            'always' === $code => true,
            \in_array($code, Vocabulary::COMPUTED, true) => (
                new ComputedFacts($this->facts, $this, $this->today)
            )->value($code, $side),
            'at_home' === $code => $this->facts->setting->atHome,
            'helper_here' === $code => $this->facts->setting->helperHere,
            'helper_signed' === $code => null !== $argument
                && $this->facts->setting->isSigned($argument, $side),
            'met' === $code => null !== $argument && $this->facts->isMet($argument, $side),
            'stands' === $code => null === $argument || null === $this->standing
                ? null
                : $this->standing->stands($argument, $side),
            'chosen' === $code => [] !== array_filter(
                $this->facts->decided->overrides,
                static fn (Override $o): bool => $o->rungId === $argument && $o->side === $side,
            ),
            'release_trained' === $code => $this->facts->setting->releaseTrained,
            \in_array($code, self::OF_THE_SITTING, true) => false,
            'tryout' === $code => $this->reading('tryout', $side, null, $argument),
            'opening_active_pct' === $code => $this->opening($side, Mode::Active, $argument),
            'opening_passive_pct' === $code => $this->opening($side, Mode::Passive, $argument),
            'release_angle_deg' === $code => Opening::releaseAngle($this->openingByWristAngle($side)),
            'individuation_idx' === $code => $this->number($this->numbers[$code], $side, $argument)
                ?? $this->independence($side)->index[$argument ?? '']
                ?? null,
            isset($this->numbers[$code]) => $this->number(
                $this->numbers[$code],
                $side,
                $argument,
            ),
            default => $this->observed($code, $argument, $side),
        };
    }

    private function number(NumberFact $fact, Side $side, ?string $argument): ?float
    {
        $sided = $this->vocabulary->kinds->find($fact->readingCode)->sided ?? true;
        $value = $this->reading(
            $fact->readingCode,
            $sided ? $side : null,
            $fact->mode,
            $argument,
        );

        return \is_float($value) ? $fact->sign * $value : null;
    }

    private function observed(string $code, ?string $part, Side $side): ?bool
    {
        $observation = $this->vocabulary->observation($code);
        $ofHand = null === $observation || $observation->sided ? $side : null;
        $value = $this->reading($code, $ofHand, null, $part);
        $screening = $this->facts->measured->screening;
        $screened = $screening->fact($code, $part, $this->today);
        if (\is_bool($value)) {
            $yesOn = $screening->yesOn($code, $part, $this->today);
            $on = $this->facts->measured->readings->newest($code, $ofHand, null, $part)?->on;

            // what was seen before does not outlive a yes of today
            return null !== $screened && null !== $yesOn && $yesOn >= $on && $this->isAffected($side)
                ? $screened
                : $value;
        }
        if (null !== $screened) {
            return $screened;
        }

        return null !== $observation
            && $observation->sided
            && \in_array($side, $this->facts->people->unaffected, true)
            ? !$observation->meansTrouble
            : null;
    }

    private function isAffected(Side $side): bool
    {
        return \in_array($side, $this->facts->people->affected, true);
    }

    private function opening(Side $side, Mode $mode, ?string $wristAngle): ?float
    {
        if (null !== $wristAngle) {
            $value = $this->reading('opening', $side, $mode, $wristAngle);

            return \is_float($value) ? $value : null;
        }
        $reading = Opening::ofHand($this->facts->measured->readings, $side, $mode);

        return null !== $reading
            && $this->isYoung('opening', $reading->on)
            && \is_float($reading->value)
            ? $reading->value
            : null;
    }

    private function independence(Side $side): Independence
    {
        return $this->independence[$side->value] ??= Independence::byEye(
            $this->facts->measured->readings->where(
                fn (Reading $r): bool => 'along' === $r->code && $this->isYoung($r->code, $r->on),
            ),
            $side,
        );
    }

    /** @return array<int, float> */
    private function openingByWristAngle(Side $side): array
    {
        $byAngle = [];
        foreach ($this->vocabulary->kinds->find('opening')->arguments ?? [] as $angle) {
            $percent = $this->opening($side, Mode::Active, $angle);
            if (null !== $percent) {
                $byAngle[(int) $angle] = $percent;
            }
        }

        return $byAngle;
    }

    private function reading(
        string $code,
        ?Side $side,
        ?Mode $mode,
        ?string $argument,
    ): float|bool|string|null {
        $reading = $this->facts->measured->readings->newest($code, $side, $mode, $argument);

        return $reading instanceof Reading && $this->isYoung($code, $reading->on)
            ? $reading->value
            : null;
    }

    private function isYoung(string $code, \DateTimeImmutable $on): bool
    {
        return $on >= ($this->vocabulary->isShortLived($code) ? $this->shortSince : $this->since)
            && $on <= $this->today;
    }

    private function fromStrongerEvidence(string $code, Side $side): float|bool|null
    {
        foreach ($this->vocabulary->evidence as $i => $evidence) {
            if ($evidence->code !== $code || isset($this->following[$i.$side->value])) {
                continue;
            }
            $this->following[$i.$side->value] = true;
            $holds = $evidence->while->judge($this, $side)->isTrue();
            unset($this->following[$i.$side->value]);
            if ($holds) {
                return $evidence->value;
            }
        }

        return null;
    }
}
