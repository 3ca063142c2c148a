<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * A picture that is kept folded: most pages walk through all exercises and draw none of them, and the stills are most
 * of what an exercise weighs.
 */
final class FoldedPicture
{
    private ?string $folded = null;

    public function __construct(
        private ?Picture $picture,
    ) {
    }

    public function picture(): Picture
    {
        if (null === $this->picture) {
            $opened = unserialize((string) $this->folded);
            $this->picture = $opened instanceof Picture
                ? $opened
                : throw new \LogicException('The kept picture is of another make.');
        }

        return $this->picture;
    }

    /** @return array{string} */
    public function __serialize(): array
    {
        return [$this->folded ?? serialize($this->picture)];
    }

    /** @param array{string} $kept */
    public function __unserialize(array $kept): void
    {
        $this->picture = null;
        [$this->folded] = $kept;
    }
}
