<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

/** A truth with the atoms that make it so. */
final readonly class Verdict
{
    /**
     * @param list<Finding> $findings the atoms that decide: the failing ones of a false, the unknown ones of an
     *    unknown, all of a true
     */
    public function __construct(
        public Truth $truth,
        public array $findings,
    ) {
    }

    public function isTrue(): bool
    {
        return Truth::True === $this->truth;
    }

    /** @param non-empty-list<self> $parts */
    public static function allOf(array $parts): self
    {
        $truth = Truth::True;
        foreach ($parts as $part) {
            $truth = $truth->and($part->truth);
        }

        return new self($truth, self::deciding($parts, $truth));
    }

    /** @param non-empty-list<self> $parts */
    public static function anyOf(array $parts): self
    {
        $truth = Truth::False;
        foreach ($parts as $part) {
            $truth = $truth->or($part->truth);
        }

        return new self($truth, self::deciding($parts, $truth));
    }

    public function not(): self
    {
        return new self(
            $this->truth->not(),
            array_map(static fn (Finding $f): Finding => $f->negate(), $this->findings),
        );
    }

    /**
     * @param list<self> $parts
     *
     * @return list<Finding>
     */
    private static function deciding(array $parts, Truth $truth): array
    {
        if (1 === \count($parts)) {
            return $parts[0]->findings;
        }
        $findings = [];
        foreach ($parts as $part) {
            if ($part->truth === $truth) {
                array_push($findings, ...$part->findings);
            }
        }

        return $findings;
    }
}
