<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Catalogue\Still;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Drawing\DrawingLibrary;
use HandGarden\Core\Drawing\InvalidPose;
use HandGarden\Core\Drawing\Place;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Tableau;
use HandGarden\Core\Drawing\View;
use HandGarden\Core\Drawing\Zones;

/** Sets every scene of a picture, so that a name that is nowhere is found here and not on the page. */
final readonly class PictureCheck
{
    private const NUMBERS = ['1', '2', '3', '4', '5'];

    public function __construct(
        private DrawingLibrary $drawings,
    ) {
    }

    /** @throws InvalidData naming the path */
    public function check(Picture $picture, string $path): void
    {
        foreach ($picture->stills as $nth => $still) {
            $of = \sprintf('%s.stills.%d', $path, $nth);
            $scene = $this->scene($still, $picture->view, $of);
            $this->places($scene, $picture->crop, $of.'.crop');
            if (null !== $still->closeUp) {
                $closeUp = $still->closeUp;
                $near = $this->scene(
                    $closeUp->still,
                    $closeUp->view,
                    $of.'.closeup',
                );
                $this->places($near, $closeUp->crop, $of.'.closeup.crop');
            }
        }
    }

    /**
     * A still belongs to a unit of the walk, or to a number that is called or counted.
     *
     * @throws InvalidData naming the path
     */
    public function checkUnits(Picture $picture, Walk $walk, string $path): void
    {
        foreach ($picture->stills as $nth => $still) {
            if (
                null !== $still->unit
                && !\in_array($still->unit, $walk->units, true)
                && !\in_array($still->unit, self::NUMBERS, true)
            ) {
                throw InvalidData::at(
                    \sprintf('%s.stills.%d.unit', $path, $nth),
                    \sprintf(
                        '"%s" is not one of %s',
                        $still->unit,
                        implode(', ', $walk->units),
                    ),
                );
            }
        }
    }

    private function scene(Still $still, View $view, string $path): Scene
    {
        try {
            foreach ([...$still->via, $still->imagined ?? $still->pose] as $pose) {
                $this->drawings->subject($pose, $view);
            }
            $scene = (new Tableau(
                $this->drawings->subject($still->pose, $view),
                $this->drawings->things($still->things),
                $this->drawings->hands($still->others),
            ))->scene(false);
        } catch (InvalidPose $e) {
            throw InvalidData::at($path, $e->getMessage());
        }
        if (null !== $still->trace) {
            $this->places($scene, [new Place($still->trace)], $path.'.trace');
        }
        foreach ($still->marks as $nth => $mark) {
            $this->places($scene, $mark->places, $path.'.marks.'.$nth);
        }
        if (null !== $still->zones && !\in_array($still->zones, Zones::names(), true)) {
            throw InvalidData::at(
                $path.'.zones',
                \sprintf(
                    '"%s" is not one of %s',
                    $still->zones,
                    implode(', ', Zones::names()),
                ),
            );
        }
        foreach ($still->focus as $part) {
            if (!self::hasPart($scene, $part)) {
                throw InvalidData::at(
                    $path.'.focus',
                    \sprintf('there is no part "%s"', $part),
                );
            }
        }

        return $scene;
    }

    /**
     * @param list<Place> $places
     *
     * @throws InvalidData
     */
    private function places(Scene $scene, array $places, string $path): void
    {
        foreach ($places as $place) {
            try {
                $place->in($scene);
            } catch (InvalidPose) {
                throw InvalidData::at(
                    $path,
                    \sprintf('there is no place "%s"', $place->on),
                );
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
