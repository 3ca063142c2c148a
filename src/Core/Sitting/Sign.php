<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What may be wrong in the middle of a sitting. */
enum Sign: string
{
    /** Face droops, arm or leg weak, speech or sight odd, sudden worst headache, new muddle. */
    case Stroke = 'stroke';
    case Fit = 'fit';
    /** Pain in the chest, breathless at rest, fainted. */
    case Chest = 'chest';
    /** Dizzy, unsteady, unusually breathless. */
    case Dizzy = 'dizzy';
    case Pain = 'pain';
    case Tingling = 'tingling';
    case Cramp = 'cramp';
    /** Swollen, hot or red: hand, arm or calf. */
    case Swollen = 'swollen';
    case Skin = 'skin';
    case Stuck = 'stuck';
    case Fall = 'fall';
    case Cut = 'cut';
    case Ill = 'ill';
    case Upset = 'upset';

    public function asks(): SignAsks
    {
        return match ($this) {
            self::Pain => SignAsks::Strength,
            self::Dizzy, self::Tingling, self::Cramp, self::Skin, self::Ill => SignAsks::Doubt,
            default => SignAsks::Nothing,
        };
    }
}
