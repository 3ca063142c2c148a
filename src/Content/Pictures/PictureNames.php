<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Still;
use HandGarden\Core\Drawing\DrawingLibrary;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Tableau;
use HandGarden\Core\Drawing\View;

/** What each picture of a rung shows, and the name it has by that. */
final class PictureNames
{
    /** @return array<string, string> names by rung, side and number of the still; `book` is the moving picture */
    public static function from(Rung $rung, DrawingLibrary $library): array
    {
        $names = [];
        foreach (Side::cases() as $side) {
            foreach (array_keys($rung->picture()->stills) as $nth) {
                $names[self::key($rung->id, $side, (string) $nth)] = self::spec(
                    $rung->picture(),
                    $library,
                    $side,
                    $nth,
                )->hash();
            }
            $names[self::key($rung->id, $side, 'book')] = self::book(
                $rung->picture(),
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

    /** @param int $nth number of the still: it shows the one it comes from behind it, with the way as an arrow */
    public static function spec(Picture $picture, DrawingLibrary $library, Side $side, int $nth): PictureSpec
    {
        $still = $picture->stills[$nth] ?? $picture->stills[0];
        $from = null === $still->from ? null : $picture->stills[$still->from] ?? null;
        $closeUp = $still->closeUp;
        $before = null === $from
            ? null
            : self::tableau(
                $from,
                $picture,
                $library,
                $picture->view,
            );
        if (null !== $still->imagined) {
            $before = self::tableau(
                $still,
                $picture,
                $library,
                $picture->view,
                pose: $still->imagined,
            );
        }

        return new PictureSpec(
            self::tableau($still, $picture, $library, $picture->view),
            $picture->view,
            $side,
            self::tableaux($picture, $library),
            ways: self::ways($picture),
            before: $before,
            withGhost: $still->withGhost,
            trace: $still->trace,
            table: $picture->table,
            zones: $still->zones,
            crop: $picture->crop,
            cropMillimetres: $picture->cropMillimetres,
            inset: null === $closeUp ? null : new PictureSpec(
                self::tableau(
                    $closeUp->still,
                    $picture,
                    $library,
                    $closeUp->view,
                ),
                $closeUp->view,
                $side,
                zones: $closeUp->still->zones,
                crop: $closeUp->crop,
                isSmall: true,
            ),
            hasRoomForInset: $picture->hasCloseUps(),
            isGrounded: $picture->isGrounded,
        );
    }

    public static function book(Picture $picture, DrawingLibrary $library, Side $side): FlipBook
    {
        $moments = $stops = [];
        foreach ($picture->stills as $still) {
            foreach ([...$still->via, $still->pose] as $pose) {
                $moments[] = self::tableau(
                    $still,
                    $picture,
                    $library,
                    $picture->view,
                    pose: $pose,
                );
            }
            $stops[] = \count($moments) - 1;
        }

        return new FlipBook(
            self::spec($picture, $library, $side, $picture->telling()),
            $moments,
            $stops,
        );
    }

    /** @return list<Tableau> */
    private static function tableaux(Picture $picture, DrawingLibrary $library): array
    {
        $tableaux = $imagined = [];
        foreach ($picture->stills as $still) {
            $tableaux[] = self::tableau(
                $still,
                $picture,
                $library,
                $picture->view,
            );
            if (null !== $still->imagined) {
                $imagined[] = self::tableau(
                    $still,
                    $picture,
                    $library,
                    $picture->view,
                    pose: $still->imagined,
                );
            }
        }

        return [...$tableaux, ...$imagined];
    }

    /** @return list<array{int, int, string}> from still to still, and the place whose way is shown */
    private static function ways(Picture $picture): array
    {
        $ways = [];
        foreach ($picture->stills as $nth => $still) {
            if (null !== $still->from && null !== $still->trace) {
                $ways[] = [$still->from, $nth, $still->trace];
            }
        }

        return $ways;
    }

    private static function tableau(
        Still $still,
        Picture $picture,
        DrawingLibrary $library,
        View $view,
        ?string $pose = null,
    ): Tableau {
        $pose ??= $still->pose;

        return new Tableau(
            $picture->ownPoses[$pose] ?? $library->subject($pose, $view),
            $library->things($still->things),
            $library->hands($still->others),
            $still->marks,
            focus: $still->focus,
            tints: $still->tints + $picture->tints,
        );
    }
}
