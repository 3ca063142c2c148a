<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** A muscle group that works in an item, and how much of its time counts in the balance of opening and gripping. */
final readonly class MuscleLoad
{
    private const EXTENSION = ['finger extensors', 'thumb extensors', 'wrist extensors'];
    private const FLEXION = ['finger flexors', 'thumb flexors', 'thumb adductor', 'wrist flexors'];

    /** What works or is lengthened; a word that is none of these would slip past every rule about gripping. */
    private const GROUPS = [
        ...self::EXTENSION,
        ...self::FLEXION,
        'elbow extensors',
        'elbow flexors',
        'hamstrings',
        'intrinsics',
        'leg muscles',
        'palm tissue',
        'pronators',
        'radial wrist muscles',
        'shoulder adductors',
        'shoulder muscles',
        'supinators',
        'task-dependent',
        'thenar muscles',
        'trunk muscles',
        'ulnar wrist muscles',
        'web tissue',
    ];

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

    /** @return list<string> groups of the arm that a tone injection may go into */
    public static function injectable(): array
    {
        return [...self::FLEXION, 'thenar muscles', 'pronators', 'elbow flexors', 'intrinsics'];
    }

    public static function isGroup(string $group): bool
    {
        return \in_array($group, self::GROUPS, true);
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
