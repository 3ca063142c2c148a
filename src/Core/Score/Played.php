<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Cue\CueKind;

/** One cue as it is played. */
final readonly class Played
{
    /**
     * @param string  $words      of the catalogue, with {side}, {unit}, {n}, {count} and {hold} as places
     * @param non-empty-list<int> $stills that the picture goes through while it lasts
     * @param ?int    $number     that is called or shown
     * @param ?int    $count      of what `number` is counted to
     * @param bool    $saysSide   the hand is named first
     * @param bool    $saysUnit   the finger, space, direction or shape is named first
     * @param bool    $countsHold the seconds are counted aloud
     * @param int     $done       repetitions of the item that are done when it ends: 1, or 0
     * @param ?float  $beat       beats a minute that run under it
     */
    public function __construct(
        public Part $part,
        public CueKind $kind,
        public float $seconds,
        public Place $place,
        public string $words = '',
        public array $stills = [0],
        public Aloud $aloud = Aloud::Nothing,
        public bool $saysSide = false,
        public bool $saysUnit = false,
        public bool $countsHold = false,
        public ?int $number = null,
        public ?int $count = null,
        public int $done = 0,
        public ?float $beat = null,
    ) {
    }

    public function lasting(float $seconds): self
    {
        return $this->with(['seconds' => $seconds]);
    }

    /** @param array<string, mixed> $changed by property */
    public function with(array $changed): self
    {
        /** @var array{part: Part, kind: CueKind, seconds: float, place: Place} $all */
        $all = array_merge(get_object_vars($this), $changed);

        return new self(...$all);
    }
}
