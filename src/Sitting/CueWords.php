<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Cue\WalkKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Score\Played;
use HandGarden\Web\Wording;

/** What a cue says: the words of the catalogue with side, finger and numbers put in. */
final readonly class CueWords
{
    private const JOINT = '/^(thumb|index|middle|ring|little)\.([1-3])$/';
    private const SPACE = '/^(index|middle|ring)-(middle|ring|little)$/';
    private const LED = '/^([a-z-]+):(left|right)$/';

    public function __construct(
        private Wording $wording,
        private CatalogueStore $catalogue,
    ) {
    }

    public function of(Played $cue, Item $item): string
    {
        if ('' === $cue->words || !$cue->part->isWork()) {
            return $this->aside($cue, $item);
        }

        return strtr($cue->words, [
            '{side}' => null === $cue->place->side ? '' : $cue->place->side->value,
            '{unit}' => $this->unit($cue->place->unit ?? '', $item),
            '{n}' => (string) $cue->number,
            '{count}' => (string) $cue->count,
            '{hold}' => (string) (int) $cue->seconds,
        ]);
    }

    /** A finger, joint, space or shape in words; what is in words already stays. A ring is a shape, or a finger. */
    public function unit(string $unit, Item $item): string
    {
        $isShape = WalkKind::Shapes === $item->rung->walk->kind;
        if (!$isShape && null !== Digit::tryFrom($unit)) {
            return $this->wording->word('unit.'.$unit);
        }
        if (1 === preg_match(self::JOINT, $unit, $found)) {
            return $this->wording->word('unit.joint', [
                'digit' => $this->wording->word('unit.'.$found[1]),
                'joint' => ('thumb' === $found[1] ? 't' : 'f').$found[2],
            ]);
        }
        if (1 === preg_match(self::SPACE, $unit, $found)) {
            return $this->wording->word(
                'unit.space',
                ['one' => $found[1], 'other' => $found[2]],
            );
        }
        $shapes = $this->catalogue->get()->handbook()->shapes;
        $isLed = 1 === preg_match(self::LED, $unit, $found);
        if ($isLed && isset($shapes[$found[1]])) {
            return $this->wording->word(
                'unit.led',
                ['shape' => $shapes[$found[1]]->label, 'side' => $found[2]],
            );
        }

        return isset($shapes[$unit]) ? $shapes[$unit]->label : $unit;
    }

    private function aside(Played $cue, Item $item): string
    {
        $code = match (true) {
            $item->isPause => 'pause',
            CueKind::Rest !== $cue->kind => str_replace(' ', '-', $cue->kind->value),
            default => $cue->part->value,
        };

        return $this->wording->word('cue.'.$code, [
            'item' => $item->rung->name,
            'position' => $item->rung->instructions->position,
            'unit' => null === $cue->place->unit ? '' : $this->unit($cue->place->unit, $item),
            'side' => $cue->place->side->value ?? '',
        ]);
    }
}
