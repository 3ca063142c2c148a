<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** At which level of each challenge an exercise is done. */
final readonly class Levels
{
    /** @param array<string, int|float|string> $of by the code of the challenge */
    private function __construct(
        private array $of,
    ) {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public function at(Challenge $challenge): int|float|string|null
    {
        return $this->of[$challenge->value] ?? null;
    }

    /** @throws InvalidDose */
    public function with(Challenge $challenge, int|float|string $level): self
    {
        $challenge->hardness($level); // a level that is none is refused here
        $of = array_merge($this->of, [$challenge->value => self::plain($level)]);
        ksort($of);

        return new self($of);
    }

    /** A whole number is an integer, however it was written. */
    public static function plain(int|float|string $level): int|float|string
    {
        return \is_float($level) && floor($level) === $level ? (int) $level : $level;
    }

    /**
     * Levels as a form tells them; a number stays a number.
     *
     * @return array<string, int|float|string> by what should be the code of a challenge; what is empty is left out
     */
    public static function typed(mixed $told): array
    {
        $levels = [];
        foreach (\is_array($told) ? $told : [] as $code => $level) {
            if (\is_string($code) && \is_string($level) && '' !== $level) {
                $levels[$code] = is_numeric($level) ? self::plain((float) $level) : $level;
            }
        }

        return $levels;
    }

    /** @return array<string, int|float|string> by the code of the challenge */
    public function all(): array
    {
        return $this->of;
    }

    /** Below 0 where the stage is easier than the other's, 0 where it is the same, above 0 where it is harder. */
    public function stageBeside(self $other): int
    {
        foreach ($this->of as $code => $level) {
            $challenge = Challenge::from($code);
            $theirs = $other->at($challenge);
            $difference = !$challenge->isStage() || null === $theirs
                ? 0
                : $challenge->hardness($level) <=> $challenge->hardness($theirs);
            if (0 !== $difference) {
                return $difference;
            }
        }

        return 0;
    }

    /** Whether no challenge is harder than the other's; what one of them does not know makes no difference. */
    public function isAtMost(self $other): bool
    {
        foreach ($this->of as $code => $level) {
            $challenge = Challenge::from($code);
            $theirs = $other->at($challenge);
            if (null !== $theirs && $challenge->hardness($level) > $challenge->hardness($theirs)) {
                return false;
            }
        }

        return true;
    }

    /** How much faster a movement goes than at the levels it is timed for. */
    public function quickening(self $timedAt): float
    {
        $times = 1.0;
        foreach ($this->of as $code => $level) {
            $challenge = Challenge::from($code);
            $times *= $challenge->quickening($timedAt->at($challenge) ?? $level, $level);
        }

        return $times;
    }
}
