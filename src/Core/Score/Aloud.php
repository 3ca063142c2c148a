<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

/** What the voice says of a cue beside side and unit, so that a hundred repetitions are not a hundred times told. */
enum Aloud: string
{
    case Words = 'words';
    /** The words, then the number of the repetition. */
    case WordsAndNumber = 'words-number';
    case Number = 'number';
    case LastOne = 'last';
    case Tick = 'tick';
    case Nothing = 'nothing';
}
