<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** A muscle group that works in an item, and how much of its time counts in the balance of opening and gripping. */
final readonly class MuscleLoad
{
    private const EXTENSION = ['finger extensors', 'thumb extensors', 'wrist extensors'];
    private const FLEXION = ['finger flexors', 'thumb flexors', 'thumb adductor', 'wrist flexors'];

    private function __construct(
        public string $group,
        public float $share,
    ) {
    }

    /** @param string $text such as `finger flexors (light)`: light counts half, reflex nothing */
    public static function fromText(string $text): self
    {
        $group = trim((string) preg_replace('/\((?:light|reflex)\)/', '', $text));

        return new self(
            $group,
            match (true) {
                str_contains($text, '(reflex)') => 0.0,
                str_contains($text, '(light)') => 0.5,
                default => 1.0,
            },
        );
    }

    public function extends(): bool
    {
        return \in_array($this->group, self::EXTENSION, true);
    }

    public function flexes(): bool
    {
        return \in_array($this->group, self::FLEXION, true);
    }

    /** Loads the fingers in closing with more than light effort: what a curling hand is not given. */
    public function grips(): bool
    {
        return 'finger flexors' === $this->group && 1.0 === $this->share;
    }
}
