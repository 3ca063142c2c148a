<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Drawing\DrawingLibrary;
use HandGarden\Core\Drawing\InvalidPose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Stage;
use HandGarden\Core\Drawing\View;

/** Sets every scene of a picture, so that a name that is nowhere is found here and not on the page. */
final readonly class PictureCheck
{
    public function __construct(
        private DrawingLibrary $drawings,
    ) {
    }

    /** @throws InvalidData naming the path */
    public function check(Picture $picture, string $path): void
    {
        $view = View::tryFrom($picture->view)
            ?? throw InvalidData::at(
                $path.'.view',
                \sprintf(
                    '"%s" is not one of %s',
                    $picture->view,
                    implode(', ', array_column(View::cases(), 'value')),
                ),
            );
        try {
            foreach ($picture->via as $pose) {
                $this->drawings->subject($pose, $view);
            }
            $scenes = [
                Stage::scene(
                    $this->drawings->subject($picture->startPose, $view),
                    $this->drawings->things($picture->startThings),
                    $this->drawings->hand($picture->startHand),
                    false,
                ),
                Stage::scene(
                    $this->drawings->subject($picture->endPose, $view),
                    $this->drawings->things($picture->endThings),
                    $this->drawings->hand($picture->endHand),
                    false,
                ),
            ];
        } catch (InvalidPose $e) {
            throw InvalidData::at($path, $e->getMessage());
        }
        foreach ($scenes as $scene) {
            if (
                !isset($scene->frames[$picture->traced]) && !isset($scene->anchors[$picture->traced])
            ) {
                throw InvalidData::at(
                    $path.'.trace',
                    \sprintf('there is no place "%s"', $picture->traced),
                );
            }
        }
        if (null !== $picture->zones && !\in_array($picture->zones, Painter::zoneNames(), true)) {
            throw InvalidData::at(
                $path.'.zones',
                \sprintf(
                    '"%s" is not one of %s',
                    $picture->zones,
                    implode(', ', Painter::zoneNames()),
                ),
            );
        }
        foreach ($picture->focus as $part) {
            if (!self::hasPart($scenes[1], $part)) {
                throw InvalidData::at($path.'.focus', \sprintf('there is no part "%s"', $part));
            }
        }
    }

    private static function hasPart(Scene $scene, string $part): bool
    {
        foreach ($scene->hulls as [, $group]) {
            if (explode('/', $group)[0] === $part) {
                return true;
            }
        }

        return false;
    }
}
