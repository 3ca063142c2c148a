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
    private const IN_PLACE_OF = [
        'wide-l' => ['shape-wide-l', 'shape-hook'],
        'outer-pair' => ['shape-outer-pair', 'shape-two-up'],
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
            [] === array_intersect($picture->poses(), array_column(self::IN_PLACE_OF, 0))
            || null === $this->security->getUser()
        ) {
            return $picture;
        }
        $swaps = [];
        foreach ($this->off() as $shape) {
            [$pose, $instead] = self::IN_PLACE_OF[$shape] ?? ['', ''];
            $swaps[$pose] = $instead;
        }

        return $picture->withPoses($swaps);
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
