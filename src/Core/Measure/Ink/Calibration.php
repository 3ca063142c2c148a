<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/**
 * How many pixels a millimetre has on one device, screen and zoom: from the width of a bank card held against the
 * screen.
 */
final readonly class Calibration
{
    /** Width of an identification card, ISO/IEC 7810 ID-1. */
    public const CARD_MM = 85.60;

    private function __construct(
        public float $pixelsPerMm,
        public string $screen,
    ) {
    }

    /**
     * @param string $screen what the browser says of device, screen and zoom; another one is not calibrated
     *
     * @throws InvalidInk when no screen shows a card that size
     */
    public static function ofCard(float $cardPixels, string $screen): self
    {
        $scale = $cardPixels / self::CARD_MM;
        if ($scale < 1.0 || $scale > 40.0) {
            throw new InvalidInk(
                \sprintf(
                    'A card %.0f pixels wide is on no screen; hold the card against it and match its edges.',
                    $cardPixels,
                ),
            );
        }

        return new self($scale, $screen);
    }

    public function isFor(string $screen): bool
    {
        return '' !== $screen && $screen === $this->screen;
    }
}
