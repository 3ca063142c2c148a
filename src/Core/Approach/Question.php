<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

/** Where practitioners disagree, both schools in a line each. */
enum Question: string
{
    case Quieting = 'quieting';
    case Wrist = 'wrist';
    case Fist = 'fist';
    case Squeezing = 'squeezing';
    case Load = 'load';
    case Amount = 'amount';
    case Counting = 'counting';
    case TaskDystonia = 'task-dystonia';
    case Tricks = 'tricks';

    public function asks(): string
    {
        return match ($this) {
            self::Quieting => 'How is a tight hand quieted?',
            self::Wrist => 'Where is the wrist while letting go is practised?',
            self::Fist => 'What opens a fist first?',
            self::Squeezing => 'Does squeezing a ball or putty help?',
            self::Load => 'Do weights help a shaking hand?',
            self::Amount => 'How is the amount spread?',
            self::Counting => 'Repetitions or time?',
            self::TaskDystonia => 'A cramp in one task: loading or mapping?',
            self::Tricks => 'Are early trick movements allowed?',
        };
    }

    public function school(School $school): string
    {
        return match ($this) {
            self::Quieting => School::A === $school
                ? 'Slow sustained stretch, 10 to 30 s, no bouncing: quick stretch makes tone worse.'
                : 'Brisk facilitation of the extensors inside a fixed passive sequence.',
            self::Wrist => School::A === $school
                ? 'Bent first, then step by step toward straight and back: a bent wrist slackens the flexors.'
                : 'Build wrist extension first: it is the base of grip.',
            self::Fist => School::A === $school ? 'The thumb first.' : 'The fingers first.',
            self::Squeezing => School::A === $school
                ? 'It builds grip and steadiness.'
                : 'It tightens what is already tight: back-of-hand, wedge and spread work instead.',
            self::Load => School::A === $school ? 'Light weights steady the hand.' : 'No weights.',
            self::Amount => School::A === $school
                ? 'Many small sets spread over the day.'
                : 'Fewer, longer sittings on three or four days.',
            self::Counting => School::A === $school
                ? 'Ten to twenty repetitions.'
                : 'One or two minutes.',
            self::TaskDystonia => School::A === $school
                ? 'Graded loading for stability, ending before the cramp or shake.'
                : 'Low-load attention and mapping of the hand first, loading after it.',
            self::Tricks => School::A === $school
                ? 'At first, so that the task can start: on the lower rung, named as such, withdrawn on the next.'
                : 'Never.',
        };
    }

    /** What choosing changes, said on the page. */
    public function effect(): string
    {
        return match ($this) {
            self::Quieting => 'Clients and helpers only ever stretch slowly. The brisk sequence stays inside the '
                .'hands-on release of a trained therapist. Tapping the back of the forearm is a cue and no quick '
                .'stretch.',
            self::Wrist => 'The builder prefers letting go with the wrist bent, or lifting the wrist; both ladders '
                .'stay open.',
            self::Fist => 'Order of the first two steps of the tight-hand opening.',
            self::Squeezing => 'Off leaves squeezing out of routines. On, the caution for curling hands still stands.',
            self::Load => 'Off leaves weights out of routines. On, they still need a steadying trial that showed a '
                .'gain.',
            self::Amount => 'Three or four days: the week trains on four days at most; stretching and mobilising '
                .'stay daily.',
            self::Counting => 'Each dose says its own; this is the habit for new items.',
            self::TaskDystonia => 'Mapping first leaves graded loading out until the hand has felt clearer.',
            self::Tricks => 'Said with the first rung of a ladder in the routine.',
        };
    }
}
