<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Side;

/** One moment of an exercise: a hand or figure with the things and the other hands that are round it. */
final readonly class Tableau
{
    /**
     * @param list<ThingPart|PlacedForm|PlacedFigure> $things
     * @param list<SecondHand>           $hands
     * @param list<Mark>                 $marks  signs that are hung on them
     * @param list<string>               $focus  digits or limbs in the focus tint
     * @param array<string, string>      $tints  of other digits or limbs
     */
    public function __construct(
        public Subject $subject,
        public array $things = [],
        public array $hands = [],
        public array $marks = [],
        public array $focus = [],
        public array $tints = [],
    ) {
    }

    /** @param bool $withSkin without creases and nails: for checks and silhouettes */
    public function scene(bool $withSkin = true): Scene
    {
        $scene = $withSkin ? $this->subject->scene() : $this->subject->outline();
        $scene->frames['world'] ??= new Frame();
        foreach ($this->hands as $hand) {
            if ($this->subject instanceof NamedPose) {
                $hand->putInto($scene, $this->subject, $withSkin);
            }
        }
        Things::put($scene, $this->things);

        return $scene;
    }

    /** On the way to a later moment: what is round the hand goes along where both moments have it. */
    public function towards(self $later, float $share): self
    {
        $hands = [];
        foreach ($share < .5 ? $this->hands : $later->hands as $nth => $hand) {
            [$from, $to] = [$this->hands[$nth] ?? null, $later->hands[$nth] ?? null];
            $hands[] = null === $from || null === $to
                ? $hand
                : $to->comingFrom(
                    $from,
                    $share,
                );
        }

        return new self(
            $this->subject->towards($later->subject, $share),
            $share < .5 ? $this->things : $later->things,
            $hands,
            focus: $share > 0.0 ? $later->focus : $this->focus,
            tints: $share < .5 ? $this->tints : $later->tints,
        );
    }

    public function camera(View $view, Side $side): Camera
    {
        return Camera::from($view, $side, $this->subject->turnDegrees());
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'subject' => $this->subject->toArray(),
            'things' => array_map(
                static fn (ThingPart|PlacedForm|PlacedFigure $t): array => $t->toArray(),
                $this->things,
            ),
            'hands' => array_map(static fn (SecondHand $h): array => $h->toArray(), $this->hands),
            'marks' => array_map(static fn (Mark $m): array => $m->toArray(), $this->marks),
            'focus' => [$this->focus, $this->tints],
        ];
    }
}
