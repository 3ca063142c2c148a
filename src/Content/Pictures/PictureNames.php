<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Drawing\DrawingLibrary;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Subject;
use HandGarden\Core\Drawing\View;

/** What each picture of a rung shows, and the name it has by that. */
final class PictureNames
{
    /** @return array<string, string> names by rung, side and which; `book` is the moving picture */
    public static function from(Rung $rung, DrawingLibrary $library): array
    {
        $names = [];
        foreach (Side::cases() as $side) {
            foreach (['start', 'end'] as $which) {
                $names[self::key($rung->id, $side, $which)] = self::spec(
                    $rung->picture,
                    $library,
                    $side,
                    $which,
                )->hash();
            }
            $names[self::key($rung->id, $side, 'book')] = self::book(
                $rung->picture,
                $library,
                $side,
            )->hash();
        }

        return $names;
    }

    public static function key(string $rungId, Side $side, string $which): string
    {
        return $rungId.'|'.$side->value.'|'.$which;
    }

    /** @param 'start'|'end' $which the end shows the start behind it, with the way as an arrow */
    public static function spec(
        Picture $p,
        DrawingLibrary $library,
        Side $side,
        string $which,
    ): PictureSpec {
        $view = View::from($p->view);
        $end = 'end' === $which;
        [$pose, $things, $hand] = [
            $end ? $p->endPose : $p->startPose,
            $end ? $p->endThings : $p->startThings,
            $end ? $p->endHand : $p->startHand,
        ];
        [$otherPose, $otherThings, $otherHand] = [
            $end ? $p->startPose : $p->endPose,
            $end ? $p->startThings : $p->endThings,
            $end ? $p->startHand : $p->endHand,
        ];

        $subject = static fn (string $name): Subject => $p->ownPoses[$name] ?? $library->subject(
            $name,
            $view,
        );

        return new PictureSpec(
            $subject($pose),
            $view,
            $side,
            $subject($otherPose),
            withGhost: $end,
            trace: $p->traced,
            things: $library->things($things),
            otherThings: $library->things($otherThings),
            secondHand: $library->hand($hand),
            otherSecondHand: $library->hand($otherHand),
            table: $p->table,
            zones: $end ? $p->zones : null,
            focus: $p->focus,
        );
    }

    public static function book(Picture $p, DrawingLibrary $library, Side $side): FlipBook
    {
        $view = View::from($p->view);

        return new FlipBook(
            self::spec($p, $library, $side, 'end'),
            array_map(static fn (string $pose): Subject => $library->subject($pose, $view), $p->via),
        );
    }
}
