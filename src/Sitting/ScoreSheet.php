<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Content\Pictures\TaskPictures;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Cue\Counted;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Score\Composer;
use HandGarden\Core\Score\Played;
use HandGarden\Core\Score\Score;
use HandGarden\Core\Score\SharedParts;
use HandGarden\Core\Score\Stretch;
use HandGarden\Core\Score\TaskSteps;
use HandGarden\Web\Wording;

/**
 * The score of a sitting as the player gets it: words, pictures and times, and nothing that it would have to decide.
 */
final readonly class ScoreSheet
{
    public const VERSION = 1;
    private const STEPS = 3;

    public function __construct(
        private CatalogueStore $catalogue,
        private HandPictures $pictures,
        private TaskPictures $tasks,
        private Wording $wording,
        private CueWords $words,
        private LogFields $fields,
    ) {
    }

    /**
     * @param list<string>               $ids   of the items of the sitting
     * @param list<Item>                 $items the same, as they were planned
     * @param list<array<string, mixed>> $stops see StopSheet
     *
     * @return array{version: int, seed: int, items: list<array<string, mixed>>, stops: list<array<string, mixed>>,
     *     stretches: list<array{items: list<int>, cues: list<array<string, mixed>>}>}
     */
    public function of(
        array $ids,
        array $items,
        Side $worse,
        bool $onlyCalm,
        int $seed,
        array $stops,
    ): array {
        $catalogue = $this->catalogue->get();
        $composer = new Composer($worse, new TaskSteps($catalogue));
        $score = $composer->score(new Sequence($items), $seed);
        $rows = [];
        foreach ($items as $place => $item) {
            $rows[] = $this->item($ids[$place], $item, $worse) + [
                'restsWith' => array_map(
                    static fn (int $at): string => $ids[$at],
                    SharedParts::with($items, $place),
                ),
                'rests' => $onlyCalm && !$item->rung->load->class->isRestful(),
            ];
        }

        return [
            'version' => self::VERSION,
            'seed' => $seed,
            'items' => $rows,
            'stretches' => $this->stretches($score),
            'stops' => $stops,
        ];
    }

    /** @return array<string, mixed> */
    private function item(string $id, Item $item, Side $worse): array
    {
        $side = $item->hands->shown($worse);
        $told = $item->rung->instructions;
        $pictured = $this->tasks->of($item);
        $count = $item->rung->walk->count;

        return [
            'id' => $id,
            'name' => $item->isPause ? $this->wording->word('cue.pause') : $item->rung->name,
            'hands' => $this->wording->word('hands.'.$item->hands->value),
            'dose' => $this->wording->say(DoseWords::of($item->dose)),
            'seconds' => $item->seconds(),
            'isPause' => $item->isPause,
            'variant' => null === $item->variant ? '' : $this->wording->sentence($item->variant),
            'position' => $told->position,
            'steps' => \array_slice($told->steps, 0, self::STEPS),
            'watch' => $told->watchFor,
            'easier' => $told->ease,
            'harder' => $told->harder,
            'stop' => $item->rung->walk->danger,
            'side' => $side->value,
            'stills' => $this->pictures->strip($pictured, $side),
            'telling' => $pictured->picture()->telling(),
            'book' => $this->pictures->bookOf($pictured, $side),
            'repetitions' => $item->dose->repetitions,
            'fewest' => min(
                $item->dose->repetitions,
                $item->rung->dosing->range->repetitions[0],
            ),
            'hold' => $item->dose->holdSeconds,
            'counts' => $count->button?->value,
            'drops' => $count->has(Counted::Drops),
            'quiet' => $item->rung->walk->isQuiet,
            'looks' => $item->rung->walk->looks->value,
            'log' => $item->rung->walk->flow->value,
            'wears' => $item->rung->walk->minutes,
            'fields' => $item->isPause ? [] : $this->fields->of($item),
        ];
    }

    /** @return list<array{items: list<int>, cues: list<array<string, mixed>>}> */
    private function stretches(Score $score): array
    {
        $stretches = [];
        $first = 0;
        foreach ($score->stretches as $stretch) {
            $count = \count($stretch->items);
            $stretches[] = [
                'items' => range($first, $first + $count - 1),
                'cues' => self::legsOnce(array_map(
                    fn (Played $cue): array => $this->cue($cue, $stretch, $first),
                    $stretch->cues,
                )),
            ];
            $first += $count;
        }

        return $stretches;
    }

    /**
     * What the legs do is said where it changes.
     *
     * @param list<array<string, mixed>> $cues
     *
     * @return list<array<string, mixed>>
     */
    private static function legsOnce(array $cues): array
    {
        $before = null;
        foreach ($cues as $n => $cue) {
            $legs = $cue['legs'] ?? $before;
            if ($legs !== $before) {
                $cues[$n]['saysLegs'] = true;
            }
            $before = $legs;
        }

        return $cues;
    }

    /** What a number asks for, in the clinic's number code. */
    private function meaning(Played $cue): ?string
    {
        return '{n}' === $cue->words && null !== $cue->number
            ? $this->catalogue->get()->handbook()->numberCode[$cue->number] ?? null
            : null;
    }

    /** A question as the record names it. */
    private static function question(string $words): string
    {
        $plain = (string) preg_replace(
            '/[^a-z]+/',
            '-',
            mb_strtolower($words),
        );

        return substr(trim($plain, '-'), 0, 40);
    }

    /** @return array<string, mixed> what says nothing is left out */
    private function cue(Played $cue, Stretch $stretch, int $first): array
    {
        $place = $cue->place;
        $item = $stretch->items[$place->item];

        return array_filter([
            'part' => $cue->part->value,
            'kind' => $cue->kind->value,
            's' => round($cue->seconds, 3),
            'item' => $first + $place->item,
            'words' => $this->words->of($cue, $item),
            'side' => $place->side?->value,
            'asks' => CueKind::Notice === $cue->kind ? self::question($cue->words) : null,
            'unit' => null === $place->unit ? null : $this->words->unit(
                $place->unit,
                $item,
            ),
            'other' => null === $place->otherUnit ? null : $this->words->unit(
                $place->otherUnit,
                $item,
            ),
            'legs' => $cue->part->isWork() ? $item->rung->walk->legs->words(
                $place->unit,
                $place->set,
            ) : null,
            'set' => 0 === $place->set ? null : $place->set,
            'rep' => 0 === $place->repetition ? null : $place->repetition,
            'stills' => $cue->part->isWork() ? $cue->stills : null,
            'say' => $cue->aloud->value,
            'saysSide' => $cue->saysSide,
            'saysUnit' => $cue->saysUnit,
            'holds' => $cue->countsHold,
            'n' => $cue->number,
            'of' => $cue->count,
            'means' => $this->meaning($cue),
            'done' => 0 === $cue->done ? null : $cue->done,
            'beat' => $cue->beat,
        ], static fn (mixed $value): bool => !\in_array($value, [null, false, ''], true));
    }
}
