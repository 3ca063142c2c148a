<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** What a helper may do by hand, until when. */
final readonly class KeptHelp
{
    /**
     * @param list<string>           $what    names of exercises
     * @param non-empty-list<string> $signOffs ids
     */
    public function __construct(
        public string $helper,
        public array $what,
        public \DateTimeImmutable $until,
        public array $signOffs,
    ) {
    }
}
