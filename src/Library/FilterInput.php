<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\ExerciseFilter;
use HandGarden\Core\Catalogue\ExerciseSearch;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Posture;
use HandGarden\Core\Catalogue\Strand;
use Symfony\Component\HttpFoundation\Request;

/** The filters of the address; what makes no sense is as if it were not there. */
final readonly class FilterInput
{
    private const MINUTES = ['options' => ['min_range' => 1, 'max_range' => 600]];

    public static function read(Request $request): ExerciseFilter
    {
        $text = static function (string $key) use ($request): string {
            $value = $request->query->all()[$key] ?? '';

            return \is_string($value) ? $value : '';
        };
        $minutes = filter_var($text('minutes'), \FILTER_VALIDATE_INT, self::MINUTES);
        $materials = $request->query->all()['at_hand'] ?? null;

        return new ExerciseFilter(
            ExerciseSearch::wordsIn($text('words')),
            Condition::tryFrom($text('condition')),
            Performer::tryFrom($text('performer')),
            match (true) {
                \is_array($materials)
                    && '1' === $text('only') => array_values(
                        array_filter($materials, \is_string(...)),
                    ),
                '1' === $text('only') => [],
                default => null,
            },
            posture: Posture::tryFrom($text('position')),
            minutes: \is_int($minutes) ? $minutes : null,
            loads: '' === $text('loads') ? null : $text('loads'),
            strand: Strand::tryFrom($text('strand')),
        );
    }
}
