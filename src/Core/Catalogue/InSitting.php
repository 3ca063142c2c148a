<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What an exercise is beside others in a sitting. */
final readonly class InSitting
{
    /**
     * @param ?SittingNeed      $need  what has to stand before it
     * @param list<RungPart>    $parts what it does for others
     * @param list<ApproachTag> $tags  schools it belongs to
     */
    public function __construct(
        public SittingRole $role,
        public Posture $posture,
        public ?SittingNeed $need,
        public array $parts,
        public array $tags,
    ) {
    }
}
