<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** The hands-on release: for therapists with the mark only, never part of a client's or helper's plan. */
final readonly class ReleaseProtocol
{
    /**
     * @param list<string>      $rules
     * @param list<ReleaseStep> $steps in order
     * @param string            $grasp exercise that is done in turn with it
     * @param string            $rest  positioning that it ends with
     */
    public function __construct(
        public array $rules,
        public array $steps,
        public string $grasp = '',
        public string $rest = '',
    ) {
    }
}
