<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Sitting\EventKind;

/** An event as a device or a form tells it, judged. */
final readonly class Incoming
{
    /**
     * @param string               $id     that its maker gave it
     * @param ?SittingItem         $item   null: of the sitting as a whole
     * @param array<string, mixed> $body   by kind, see Content\Format\EventFormat
     * @param string               $hash   of what was told, so that the same id with another content is noticed
     * @param ?string              $device null: from a page without scripts
     * @param ?int                 $seq    number that the device gave it
     */
    public function __construct(
        public string $id,
        public ?SittingItem $item,
        public EventKind $kind,
        public array $body,
        public string $hash,
        public EventTime $time,
        public ?string $device = null,
        public ?int $seq = null,
    ) {
    }
}
