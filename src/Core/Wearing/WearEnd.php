<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** How the hand was when something came off it. */
final readonly class WearEnd
{
    /** Minutes after which a mark is gone. */
    public const MARK_MINUTES = 20;
    /** Minutes after which colour and feeling are back. */
    public const COLOUR_MINUTES = 10;

    /**
     * @param ?Told $gone whether a mark is gone when it is looked at again; null: nobody has looked yet
     * @param ?Told $back whether colour and feeling are back when they are looked at again; null: nobody has looked yet
     */
    public function __construct(
        public Look $look,
        public Mark $mark,
        public ?Told $gone = null,
        public ?Told $back = null,
    ) {
    }

    public function verdict(): WearVerdict
    {
        return match (true) {
            !$this->look->skin->isYes(),
            $this->hasMark() && null !== $this->gone && !$this->gone->isYes(),
            $this->isAnEmergency() => WearVerdict::Suspended,
            $this->hasMark() && null === $this->gone,
            $this->wantsBack() && null === $this->back => WearVerdict::Waits,
            !$this->look->isClear() => WearVerdict::Shorter,
            default => WearVerdict::Clean,
        };
    }

    /** It has to be looked at once more for a mark. */
    public function hasMark(): bool
    {
        return Mark::None !== $this->mark;
    }

    /** It has to be looked at once more for colour and feeling. */
    public function wantsBack(): bool
    {
        return !$this->look->hasColour() || !$this->look->comfort->isYes();
    }

    /** Colour or feeling stay away: this is no longer a matter of the splint. */
    public function isAnEmergency(): bool
    {
        return $this->wantsBack() && null !== $this->back && !$this->back->isYes();
    }
}
