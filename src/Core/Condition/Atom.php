<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** `code`, `code(argument)` with a side prefix or a comparison: `both.opening_active_pct>=60`. */
final readonly class Atom implements Condition
{
    /** @param string $wantedText the value as written, so that grades keep their name */
    public function __construct(
        public SidePrefix $prefix,
        public string $code,
        public ?string $argument = null,
        public ?Comparison $comparison = null,
        public float|string|null $wanted = null,
        public string $wantedText = '',
    ) {
    }

    public function fact(): FactCode
    {
        return new FactCode($this->code, $this->argument);
    }

    public function judge(FactSource $facts, Side $side): Verdict
    {
        $sides = $facts->isSided($this->code)
            ? $this->prefix->sides($side, $facts->writingHand(), $facts->steadierHand())
            : [$side];

        return 1 === \count($sides)
            ? $this->judgeOn($facts, $sides[0])
            : Verdict::allOf(array_map(fn (Side $on): Verdict => $this->judgeOn($facts, $on), $sides));
    }

    public function atoms(): array
    {
        return [$this];
    }

    public function speakingOf(SidePrefix $prefix): self
    {
        return SidePrefix::Placed !== $this->prefix
            ? $this
            : new self(
                $prefix,
                $this->code,
                $this->argument,
                $this->comparison,
                wanted: $this->wanted,
                wantedText: $this->wantedText,
            );
    }

    public function __toString(): string
    {
        return (SidePrefix::Placed === $this->prefix ? '' : $this->prefix->value.'.').$this->code
            .(null === $this->argument ? '' : '('.$this->argument.')')
            .(null === $this->comparison ? '' : $this->comparison->value.$this->wantedText);
    }

    private function judgeOn(FactSource $facts, Side $side): Verdict
    {
        $found = $facts->value($this->code, $this->argument, $side);
        $truth = match (true) {
            null === $found => Truth::Unknown,
            null !== $this->comparison
                && null !== $this->wanted
                && !\is_bool($found) => Truth::fromBool($this->comparison->holds($found, $this->wanted)),
            \is_bool($found) && null === $this->comparison => Truth::fromBool($found),
            default => Truth::Unknown, // a number without a comparison, or a yes compared with a number, says nothing
        };

        return new Verdict($truth, [new Finding($this, $side, $found, $truth)]);
    }
}
