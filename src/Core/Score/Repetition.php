<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Cue\Cue;
use HandGarden\Core\Cue\CueKind;
use HandGarden\Core\Cue\Walk;

/** Which way the picture goes with each cue of one repetition: out, there, and back. */
final readonly class Repetition
{
    /** @return list<Travel> one for each cue */
    public static function travels(Walk $walk): array
    {
        $isOut = false;
        $travels = [];
        foreach ($walk->cues as $cue) {
            $travel = self::of($cue, $isOut);
            $isOut = match ($travel) {
                Travel::Out, Travel::End => true,
                Travel::Start, Travel::Back => false,
            };
            $travels[] = $travel;
        }

        return $travels;
    }

    private static function of(Cue $cue, bool $isOut): Travel
    {
        return match ($cue->kind) {
            CueKind::Return => Travel::Back,
            CueKind::Hold => $isOut ? Travel::End : Travel::Start,
            CueKind::Rest, CueKind::Wear, CueKind::Notice => Travel::Start,
            CueKind::BreatheIn => Travel::Out,
            CueKind::BreatheOut => Travel::Back,
            CueKind::Pair, CueKind::Beat => $isOut ? Travel::Back : Travel::Out,
            CueKind::Move, CueKind::Direction, CueKind::Shape, CueKind::Call, CueKind::Piece,
            CueKind::Step => $isOut ? Travel::End : Travel::Out,
        };
    }
}
