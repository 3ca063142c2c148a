<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Drawing\Mark;

/**
 * One moment of an exercise as it is drawn: a pose of the pose or figure file, and what lies around it by name.
 */
final readonly class Still
{
    /**
     * @param list<string> $via       poses on the way to it, where the way matters
     * @param list<string> $things
     * @param list<string> $others    second hands
     * @param list<string> $focus     digits or limbs in the focus tint
     * @param list<Mark>   $marks
     * @param ?int         $from      number of the still that it comes from; null: it comes from none
     * @param bool         $withGhost that one is seen behind it
     * @param ?string      $trace     place whose way an arrow shows
     * @param ?string      $unit      finger, pair or direction that it belongs to
     * @param bool         $isTelling it stands for the whole exercise where there is room for one picture
     * @param ?string      $imagined  pose that is seen behind it in place of the one it comes from
     * @param ?CloseUp     $closeUp   beside it, in a disc
     * @param array<string, string> $tints of digits or limbs, beside those of the whole picture
     */
    public function __construct(
        public string $pose,
        public array $via = [],
        public array $things = [],
        public array $others = [],
        public array $focus = [],
        public array $marks = [],
        public ?string $zones = null,
        public ?int $from = null,
        public bool $withGhost = true,
        public ?string $trace = null,
        public ?string $unit = null,
        public bool $isTelling = false,
        public ?CloseUp $closeUp = null,
        public array $tints = [],
        public ?string $imagined = null,
    ) {
    }

    /** @param array<string, string> $swaps poses and second hands that others stand in for */
    public function withPoses(array $swaps): self
    {
        $swap = static fn (string $pose): string => $swaps[$pose] ?? $pose;
        /** @var array{pose: string} $all */
        $all = [
            'pose' => $swap($this->pose),
            'via' => array_map($swap, $this->via),
            'others' => array_map($swap, $this->others),
        ] + get_object_vars($this);

        return new self(...$all);
    }
}
