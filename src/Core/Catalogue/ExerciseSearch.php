<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Finds exercises by words and filters; best match first, then in the order of the catalogue. */
final class ExerciseSearch
{
    private const IN_NAME = 8;
    private const IN_LADDER = 3;
    private const ANYWHERE = 1;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** @return list<array{Ladder, Rung}> */
    public function find(ExerciseFilter $filter): array
    {
        $found = [];
        foreach ($this->catalogue->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $score = $filter->admits($ladder, $rung) ? $this->score($ladder, $rung, $filter->words) : 0;
                if ($score > 0) {
                    $found[] = [$score, [$ladder, $rung]];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]); // stable: equal ones keep their order

        return array_column($found, 1);
    }

    /** Everything that words are looked for in, lower case. */
    public static function textOf(Rung $rung, Handbook $handbook): string
    {
        $materials = array_map(static fn (string $key): string => $handbook->material($key)->label ?? $key, $rung->materials);

        return mb_strtolower(implode(' ', [$rung->name, $rung->id, $rung->moves, $rung->words['position'], $rung->words['watchFor'], $rung->words['why'], ...$rung->steps, ...$materials, ...array_map(static fn (ApproachTag $t): string => $t->value, $rung->tags)]));
    }

    /** @return list<string> */
    public static function wordsIn(string $typed): array
    {
        preg_match_all('/[\pL\pN]+/u', mb_strtolower($typed), $found);

        return \array_slice($found[0], 0, 8);
    }

    /** @param list<string> $words */
    private function score(Ladder $ladder, Rung $rung, array $words): int
    {
        $score = 1;
        $name = $around = $text = null;
        foreach ($words as $word) {
            $name ??= ' '.mb_strtolower($rung->name.' '.$rung->id);
            $around ??= ' '.mb_strtolower($ladder->name.' '.$ladder->strand->label());
            $place = match (true) {
                self::begins($name, $word) => self::IN_NAME,
                self::begins($around, $word) => self::IN_LADDER,
                self::begins($text ??= ' '.self::textOf($rung, $this->catalogue->handbook()), $word) => self::ANYWHERE,
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
        return str_contains($text, $word) && 1 === preg_match('/(?<![\pL\pN])'.preg_quote($word, '/').'/u', $text);
    }
}
