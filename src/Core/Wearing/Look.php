<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** The hand as it is looked at before something is put on, and after it came off. */
final readonly class Look
{
    /**
     * @param Told $skin    whole and dry
     * @param Told $comfort no pain and no tingling
     * @param Told $colour  a nail that was pressed is pink again within three seconds
     * @param Told $warmth  the same as the other hand
     */
    public function __construct(
        public Told $skin,
        public Told $comfort,
        public Told $colour,
        public Told $warmth,
    ) {
    }

    /** Nothing is put on a hand that is not clear. */
    public function isClear(): bool
    {
        return $this->skin->isYes() && $this->comfort->isYes() && $this->hasColour();
    }

    public function hasColour(): bool
    {
        return $this->colour->isYes() && $this->warmth->isYes();
    }
}
