<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\GroupWork\PlaceItem;
use HandGarden\Sitting\ScoreSheet;
use HandGarden\Web\Wording;

/**
 * The one score that a class is led by. It knows places by their numbers: no name, no result, nobody's hand.
 */
final readonly class Wall
{
    private const OF_NOBODY = ['side', 'saysSide'];

    public function __construct(
        private ScoreSheet $sheet,
        private ClassPlan $plan,
        private Wording $wording,
    ) {
    }

    /**
     * @param list<Rung>                 $rungs
     * @param array<int, list<PlaceItem>> $cards by number of the place
     * @param list<Side>                 $worse hands of those who are there; the picture shows the hand of the most
     *
     * @return array<string, mixed>
     */
    public function of(array $rungs, array $cards, array $worse, int $seed): array
    {
        $items = $this->plan->leads($rungs, array_values($cards));
        $left = array_filter($worse, static fn (Side $s): bool => Side::Left === $s);
        $sheet = $this->sheet->of(
            array_map(static fn (int $nth): string => 'e'.$nth, array_keys($items)),
            $items,
            2 * \count($left) > \count($worse) ? Side::Left : Side::Right,
            onlyCalm: false,
            seed: $seed,
            stops: [],
        );
        $sheet['items'] = array_map($this->ofAll(...), $sheet['items'], $rungs);
        $sheet['stretches'] = array_map(self::withoutSides(...), $sheet['stretches']);
        $sheet['places'] = self::places($cards, \count($rungs));

        return $sheet;
    }

    /**
     * @param array<string, mixed> $item
     *
     * @return array<string, mixed>
     */
    private function ofAll(array $item, Rung $rung): array
    {
        return ['hands' => $this->wording->word(
            DoneOn::BothTogether === $rung->fit->doneOn ? 'hands.together' : 'class.own_hand',
        ), 'fields' => []] + $item;
    }

    /**
     * @param array{items: list<int>, cues: list<array<string, mixed>>} $stretch
     *
     * @return array{items: list<int>, cues: list<array<string, mixed>>}
     */
    private static function withoutSides(array $stretch): array
    {
        return ['cues' => array_map(
            static fn (array $cue): array => array_diff_key($cue, array_flip(self::OF_NOBODY)),
            $stretch['cues'],
        )] + $stretch;
    }

    /**
     * @param array<int, list<PlaceItem>> $cards
     *
     * @return list<list<array{n: int, v: string, hold: int, repetitions: int}>> for each exercise, what each place does
     */
    private static function places(array $cards, int $exercises): array
    {
        $places = [] === $cards ? [] : array_fill(0, $exercises, []);
        foreach ($cards as $number => $card) {
            foreach ($card as $nth => $one) {
                $places[$nth][] = [
                    'n' => $number,
                    'v' => $one->version->value,
                    'hold' => $one->item->dose->holdSeconds ?? 0,
                    'repetitions' => $one->item->dose->repetitions ?? 0,
                ];
            }
        }

        return $places;
    }
}
