<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What a search asks of an exercise, put down beforehand: looking through all of them opens none. */
final readonly class IndexedExercise
{
    private const IN_NAME = 8;
    private const IN_LADDER = 3;
    private const ANYWHERE = 1;

    /**
     * @param string       $name       lower case, with its id
     * @param string       $around     ladder and strand, lower case
     * @param string       $text       everything else that words are looked for in, lower case
     * @param list<string> $conditions values
     * @param list<string> $performers values
     * @param list<string> $materials  keys
     * @param list<string> $loads      muscle groups
     */
    public function __construct(
        public string $id,
        public Strand $strand,
        public LadderKind $kind,
        private string $name,
        private string $around,
        private string $text,
        private array $conditions,
        private array $performers,
        private array $materials,
        public array $loads,
        private Posture $posture,
        private int $seconds,
    ) {
    }

    public static function from(Ladder $ladder, Rung $rung, Handbook $handbook): self
    {
        return new self(
            $rung->id,
            $ladder->strand,
            $ladder->kind,
            ' '.mb_strtolower($rung->name.' '.$rung->id),
            around: ' '.mb_strtolower($ladder->name.' '.$ladder->strand->label()),
            text: ' '.self::textOf($rung, $handbook),
            conditions: array_map(static fn (Condition $c): string => $c->value, $rung->fit->conditions),
            performers: array_map(static fn (Performer $p): string => $p->value, $rung->fit->performers),
            materials: $rung->fit->materials,
            loads: array_map(static fn (MuscleLoad $l): string => $l->group, $rung->load->muscles),
            posture: $rung->sitting->posture,
            seconds: $rung->startSeconds(),
        );
    }

    /** Everything that words are looked for in, lower case. */
    public static function textOf(Rung $rung, Handbook $handbook): string
    {
        $materials = array_map(
            static fn (string $key): string => $handbook->material($key)->label ?? $key,
            $rung->fit->materials,
        );

        return mb_strtolower(
            implode(
                ' ',
                [
                    $rung->name,
                    $rung->id,
                    $rung->instructions->moves,
                    $rung->instructions->position,
                    $rung->instructions->watchFor,
                    $rung->instructions->why,
                    ...$rung->instructions->steps,
                    ...$materials,
                    ...array_map(static fn (ApproachTag $t): string => $t->value, $rung->sitting->tags),
                ],
            ),
        );
    }

    /** Everything but the words. */
    public function passes(ExerciseFilter $filter): bool
    {
        return (
            null === $filter->condition
            || \in_array($filter->condition->value, $this->conditions, true)
        )
            && (
                null === $filter->performer
                || \in_array($filter->performer->value, $this->performers, true)
            )
            && (
                null === $filter->materials || [] === array_diff($this->materials, $filter->materials)
            )
            && (null === $filter->posture || $this->posture === $filter->posture)
            && (null === $filter->minutes || $this->seconds <= 60 * $filter->minutes)
            && (null === $filter->strand || $this->strand === $filter->strand)
            && (null === $filter->loads || \in_array($filter->loads, $this->loads, true));
    }

    /**
     * How well the words are met; 0: one is not found.
     *
     * @param list<string> $words
     */
    public function score(array $words): int
    {
        $score = 1;
        foreach ($words as $word) {
            $place = match (true) {
                self::begins($this->name, $word) => self::IN_NAME,
                self::begins($this->around, $word) => self::IN_LADDER,
                self::begins($this->text, $word) => self::ANYWHERE,
                default => 0,
            };
            if (0 === $place) {
                return 0;
            }
            $score += $place;
        }

        return $score;
    }

    private static function begins(string $text, string $word): bool
    {
        return str_contains($text, $word)
            && 1 === preg_match('/(?<![\pL\pN])'.preg_quote($word, '/').'/u', $text);
    }
}
