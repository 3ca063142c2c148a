<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\ReleaseStep;
use HandGarden\Core\Catalogue\ReleaseTurn;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Release\ReleaseEnd;
use HandGarden\Core\Release\ReleaseLimits;
use HandGarden\Core\Release\ReleaseTable;
use HandGarden\Web\Wording;

/** A hands-on release as the player gets it: its steps in words, and where each mark leads. */
final readonly class ReleaseSheet
{
    public function __construct(
        private HandPictures $pictures,
        private Wording $wording,
    ) {
    }

    /**
     * @param list<string> $ids of the items of the sitting
     * @param list<string> $rungs of the same
     *
     * @return array<string, mixed>
     */
    public function of(
        ReleaseTable $table,
        ReleaseLimits $limits,
        Side $side,
        array $ids,
        array $rungs,
    ): array {
        $items = array_combine($rungs, $ids);

        return [
            'begin' => $table->begin()->code(),
            'moves' => $table->moves(),
            'limits' => $limits->told(),
            'ranks' => ToneGrade::ranks(),
            'steps' => array_map(
                static fn (ReleaseStep $step): array => self::step(
                    $step,
                    $items[$step->rungId],
                ),
                [...$table->passive, $table->active],
            ),
            'ends' => $this->ends(),
            'side' => $side->value,
            'contacts' => $this->pictures->contactMap($side),
        ];
    }

    /** @return array<string, string> why it ends with positioning */
    private function ends(): array
    {
        $words = [];
        foreach (ReleaseEnd::cases() as $end) {
            $words[$end->value] = $this->wording->word('release_end.'.$end->value);
        }

        return $words;
    }

    /** @return array<string, mixed> */
    private static function step(ReleaseStep $step, string $item): array
    {
        return [
            'number' => (string) $step->number,
            'item' => $item,
            'title' => $step->title,
            'hands' => $step->hands,
            'movement' => $step->movement,
            'how' => $step->tempo.'; pressure: '.$step->pressure,
            'look' => $step->lookFor,
            'rises' => $step->ifToneRises,
            'gate' => $step->gate,
            'optional' => $step->isOptional,
            'turning' => array_map(
                static fn (ReleaseTurn $turn): array => get_object_vars($turn),
                $step->turning,
            ),
        ];
    }
}
