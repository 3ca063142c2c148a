<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Place;
use HandGarden\Core\Drawing\View;

/**
 * How a rung is drawn: as many stills as it has moments, all seen from one side and through one window. `table` is the
 * part of the hand that rests on it: palm, forearm or edge.
 */
final readonly class Picture
{
    /**
     * @param non-empty-list<Still>    $stills
     * @param array<string, string>    $tints    of digits or limbs in all stills
     * @param list<Place>              $crop     what has to be seen; none: everything
     * @param array<string, NamedPose> $ownPoses poses that are not in the pose file
     */
    public function __construct(
        public array $stills,
        public View $view,
        public ?string $table = null,
        public array $tints = [],
        public array $crop = [],
        public float $cropMillimetres = 26.0,
        public array $ownPoses = [],
        public bool $isGrounded = false,
    ) {
    }

    /** @return non-empty-list<string> poses in order */
    public function poses(): array
    {
        $poses = [];
        foreach ($this->stills as $still) {
            array_push($poses, ...$still->via, ...[$still->pose]);
        }

        return $poses;
    }

    public function hasCloseUps(): bool
    {
        return [] !== array_filter(
            $this->stills,
            static fn (Still $still): bool => null !== $still->closeUp,
        );
    }

    /** Number of the still that stands for all. */
    public function telling(): int
    {
        foreach ($this->stills as $nth => $still) {
            if ($still->isTelling) {
                return $nth;
            }
        }

        return \count($this->stills) - 1;
    }

    /** @param array<string, NamedPose> $poses */
    public function withOwnPoses(string $start, string $end, array $poses): self
    {
        $last = $this->stills[\count($this->stills) - 1];
        $begin = new Still(
            $start,
            things: $this->stills[0]->things,
            others: $this->stills[0]->others,
        );
        $finish = new Still(
            $end,
            things: $last->things,
            others: $last->others,
            focus: $last->focus,
            zones: $last->zones,
            from: 0,
            trace: $last->trace ?? 'middle.tip',
        );

        return $this->with(['stills' => [$begin, $finish], 'ownPoses' => $poses, 'crop' => []]);
    }

    /** @param array<string, string> $swaps poses that others stand in for */
    public function withPoses(array $swaps): self
    {
        $stills = array_map(static fn (Still $still): Still => $still->withPoses($swaps), $this->stills);

        return $this->with(['stills' => $stills]);
    }

    /** @param array<string, mixed> $changed */
    private function with(array $changed): self
    {
        /** @var array{stills: non-empty-list<Still>, view: View} $all */
        $all = $changed + get_object_vars($this);

        return new self(...$all);
    }
}
