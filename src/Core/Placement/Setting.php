<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** Where it is done, with whom and with what. */
final readonly class Setting
{
    /**
     * @param list<string>      $helperSigned   `rung|side` that a helper was shown and signed off for
     * @param list<string>|null $materials      at hand; null: not asked, nothing is left out for it
     * @param bool              $releaseTrained whoever is signed in carries the mark "trained in hands-on release"
     */
    public function __construct(
        public bool $helperHere = false,
        public array $helperSigned = [],
        public bool $supervised = false,
        public bool $atHome = true,
        public ?array $materials = null,
        public bool $releaseTrained = false,
    ) {
    }

    /** A therapist, an assistant or a helper who knows the stop signs. */
    public function isBeside(): bool
    {
        return $this->helperHere || $this->supervised;
    }

    public function isSigned(string $rungId, Side $side): bool
    {
        return \in_array(
            (new RungOnSide($rungId, $side))->text(),
            $this->helperSigned,
            true,
        );
    }

    /** With a therapist beside them and the clinic's things at hand. */
    public function inTheClinic(): self
    {
        return $this->clinic($this->releaseTrained);
    }

    /** In the clinic, with somebody who is trained in the hands-on release. */
    public function withReleaseTrained(): self
    {
        return $this->clinic(true);
    }

    private function clinic(bool $releaseTrained): self
    {
        return new self(
            $this->helperHere,
            $this->helperSigned,
            supervised: true,
            atHome: false,
            materials: null,
            releaseTrained: $releaseTrained,
        );
    }

    /** @param list<string> $materials at hand */
    public function withMaterials(array $materials): self
    {
        return $this->with($materials, $this->helperHere);
    }

    /** As when nobody is there who was shown anything. */
    public function alone(): self
    {
        return new self(
            materials: $this->materials,
            atHome: $this->atHome,
            releaseTrained: $this->releaseTrained,
        );
    }

    /** In a class: the clinic's things at hand, and one of the staff beside this client alone, or nobody. */
    public function inClass(bool $isBeside): self
    {
        return new self(supervised: $isBeside, atHome: false);
    }

    /**
     * As when one helper is there.
     *
     * @param list<string> $signed `rung|side` that they may do by hand
     */
    public function helpedBy(array $signed): self
    {
        return new self(
            true,
            $signed,
            materials: $this->materials,
            atHome: $this->atHome,
            releaseTrained: $this->releaseTrained,
        );
    }

    public function withHelper(): self
    {
        return $this->with($this->materials, true);
    }

    /** @param list<string>|null $materials */
    private function with(?array $materials, bool $helperHere): self
    {
        return new self(
            $helperHere,
            $this->helperSigned,
            $this->supervised,
            $this->atHome,
            materials: $materials,
            releaseTrained: $this->releaseTrained,
        );
    }
}
