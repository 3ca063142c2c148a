<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** Where one looks while an exercise is played. Away from the screen, it is heard. */
enum Gaze: string
{
    case Screen = 'screen';
    /** Into a mirror, at the hand that is seen there. */
    case Mirror = 'mirror';
    /** At one's own hand, or with closed eyes at one that is imagined. */
    case Inward = 'inward';
}
