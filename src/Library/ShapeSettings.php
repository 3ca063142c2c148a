<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\ClinicRepository;
use HandGarden\Content\Pictures\PoseSwaps;
use HandGarden\Core\Catalogue\Picture;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Contracts\Service\ResetInterface;

/** Hand shapes that this clinic leaves out, and what is shown in their place. */
final class ShapeSettings implements PoseSwaps, ResetInterface
{
    /** Poses and second hands by the shape that is left out, and what is drawn in their place. */
    private const IN_PLACE_OF = [
        'wide-l' => ['shape-wide-l' => 'shape-hook', 'shape2-wide-l' => 'shape2-hook'],
        'outer-pair' => ['shape-outer-pair' => 'shape-two-up', 'shape2-outer-pair' => 'shape2-two-up'],
    ];

    /** @var list<string>|null */
    private ?array $off = null;

    public function __construct(
        private readonly ClinicRepository $clinics,
        private readonly Security $security,
    ) {
    }

    public function applyTo(Picture $picture): Picture
    {
        if (
            [] === array_intersect(
                $picture->poses(),
                array_keys(array_merge(...array_values(self::IN_PLACE_OF))),
            )
            || null === $this->security->getUser()
        ) {
            return $picture;
        }

        return $picture->withPoses(self::swapsFor($this->off()));
    }

    /**
     * @param list<string> $off keys of shapes that are left out
     *
     * @return array<string, string>
     */
    public static function swapsFor(array $off): array
    {
        $swaps = [];
        foreach ($off as $shape) {
            $swaps += self::IN_PLACE_OF[$shape] ?? [];
        }

        return $swaps;
    }

    public function reset(): void
    {
        $this->off = null;
    }

    /** @return list<string> keys of shapes */
    public function off(): array
    {
        return $this->off ??= $this->clinics->own()->shapesOff;
    }
}
