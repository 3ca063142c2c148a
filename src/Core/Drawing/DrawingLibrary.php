<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Everything that pictures are put together from, by name. */
final readonly class DrawingLibrary
{
    /**
     * @param array<string, NamedPose>       $poses
     * @param array<string, BodyPose>        $figures
     * @param array<string, list<ThingPart|PlacedForm|PlacedFigure>> $things
     * @param array<string, SecondHand>      $hands
     */
    public function __construct(
        private array $poses,
        private array $figures = [],
        private array $things = [],
        private array $hands = [],
    ) {
    }

    /** @throws InvalidPose */
    public function pose(string $name): NamedPose
    {
        return $this->poses[$name] ?? throw InvalidPose::unknown($name);
    }

    /**
     * A hand or a figure, whichever the view looks at.
     *
     * @throws InvalidPose
     */
    public function subject(string $name, View $view): Subject
    {
        return $view->isOfFigure()
            ? $this->figures[$name] ?? throw InvalidPose::unknown($name)
            : $this->pose($name);
    }

    /**
     * @param list<string> $names
     *
     * @return list<ThingPart|PlacedForm|PlacedFigure>
     *
     * @throws InvalidPose
     */
    public function things(array $names): array
    {
        return array_merge(
            ...array_map(
                fn (string $name): array => $this->things[$name] ?? throw InvalidPose::unknown($name),
                $names,
            ),
        );
    }

    /**
     * @param list<string> $names
     *
     * @return list<SecondHand>
     *
     * @throws InvalidPose
     */
    public function hands(array $names): array
    {
        return array_map(
            fn (string $name): SecondHand => $this->hands[$name] ?? throw InvalidPose::unknown($name),
            $names,
        );
    }

    /** @return list<string> names of hand poses */
    public function poseNames(): array
    {
        return array_keys($this->poses);
    }

    /** @return array<string, BodyPose> */
    public function figures(): array
    {
        return $this->figures;
    }

    /** @return list<string> */
    public function thingNames(): array
    {
        return array_keys($this->things);
    }

    /** @return list<string> */
    public function handNames(): array
    {
        return array_keys($this->hands);
    }
}
