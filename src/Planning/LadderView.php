<?php

declare(strict_types=1);

namespace HandGarden\Planning;

final readonly class LadderView
{
    /** @param list<NodeView> $nodes easiest first */
    public function __construct(
        public string $key,
        public string $name,
        public string $strand,
        public string $side,
        public string $stateText,
        public string $state,
        public ?string $standing,
        public string $why,
        public ?string $next,
        public string $nextState,
        public string $nextWhy,
        public ?string $overrideNote,
        public string $computed,
        public array $nodes,
        public bool $isPlacedOnce = false,
    ) {
    }

    /** Without its nodes and reasons, for a list. */
    public function brief(): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->strand,
            $this->side,
            stateText: $this->stateText,
            state: $this->state,
            standing: $this->standing,
            why: '',
            next: $this->next,
            nextState: $this->nextState,
            nextWhy: '',
            overrideNote: $this->overrideNote,
            computed: $this->computed,
            nodes: [],
            isPlacedOnce: $this->isPlacedOnce,
        );
    }

    /** The client stands on it, or a therapist has set a rung. */
    public function isClimbedOn(): bool
    {
        return null !== $this->standing
            || null !== $this->overrideNote
            || \in_array($this->state, ['standing', 'complete'], true);
    }

    public function fits(): bool
    {
        return 'no fit' !== $this->state;
    }

    /**
     * For a list: ladders that fit, and hands that stand alike in one row.
     *
     * @param list<self> $ladders worse hand first
     *
     * @return list<array{ladder: self, hands: string}>
     */
    public static function inOneRow(array $ladders): array
    {
        $alike = [];
        foreach ($ladders as $ladder) {
            if ($ladder->fits()) {
                $alike[
                    implode('|', [$ladder->key, $ladder->standing, $ladder->next, $ladder->nextState])
                ][] = $ladder;
            }
        }
        $rows = [];
        foreach ($alike as $same) {
            $rows[] = [
                'ladder' => $same[0],
                'hands' => match (true) {
                    $same[0]->isPlacedOnce => 'both together',
                    1 === \count($same) => $same[0]->side,
                    default => 'both hands',
                },
            ];
        }

        return $rows;
    }
}
