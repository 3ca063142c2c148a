<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Words\Phrase;

/** What a measure is about, as a client would say it: no angle, no grade, and fingers rather than joints. */
final readonly class PlainThing
{
    private const BY_BEGINNING = [
        'forearm_' => 'turn',
        'tone_' => 'tone',
        'slow_angle' => 'tone',
        'catch_angle' => 'tone',
        'grip_' => 'grip',
        'pinch_' => 'pinch',
        'thumb_' => 'thumb',
        'coins_' => 'coins',
        'tremor_' => 'shake',
        'screen_' => 'taps',
        'taps_' => 'taps',
        'spiral_' => 'line',
        'line_' => 'line',
        'letters_' => 'letters',
        'along' => 'alone',
        'individuation' => 'alone',
        'opposition' => 'reach',
        'blocks_' => 'things',
        'pegs_' => 'things',
        'pick_' => 'things',
        'turns_' => 'things',
        'stack_' => 'things',
        'release_' => 'letting',
        'arms_out' => 'arms',
        'tilt_' => 'wrist',
        'wrist_' => 'wrist',
        'pain_' => 'pain',
        'stiffness_' => 'stiff',
        'fatigue_' => 'tired',
    ];

    private function __construct(
        public string $what,
        public ?Side $side,
        public ?Digit $digit,
    ) {
    }

    /**
     * @param string $key `code|argument|mode|side`
     *
     * @return ?self null: nothing that a client asks for
     */
    public static function of(string $key): ?self
    {
        [$code, , $mode, $side] = explode('|', $key) + ['', '', '', ''];
        $hand = Side::tryFrom($side);
        $digit = Digit::tryFrom(explode('_', $code)[0]) ?? Digit::tryFrom(str_replace('total_', '', $code));
        $isPassive = Mode::Passive === Mode::tryFrom($mode);
        if ('opening' === $code) {
            return new self($isPassive ? 'opened' : 'opens', $hand, null);
        }
        if (null !== $digit && !str_ends_with($code, '_abduction')) {
            return new self($isPassive ? 'finger_moved' : 'finger', $hand, $digit);
        }
        foreach (self::BY_BEGINNING as $beginning => $what) {
            if (str_starts_with($code, $beginning)) {
                return new self($what, $hand, null);
            }
        }

        return null;
    }

    public function key(): string
    {
        return $this->what.'|'.($this->side->value ?? '').'|'.($this->digit->value ?? '');
    }

    public function words(): Phrase
    {
        return new Phrase('letter_thing.'.$this->what, [
            'side' => $this->side->value ?? 'none',
            'digit' => $this->digit->value ?? 'none',
        ]);
    }
}
