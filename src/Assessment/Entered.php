<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

/** What stands in the measuring form: typed by this person, kept as a draft, and what is wrong with it. */
final readonly class Entered
{
    /**
     * @param array<string, array<string, string>> $typed
     * @param array<string, string>                $problems
     * @param array<array-key, string>             $form     as it was sent
     */
    public function __construct(
        public array $typed,
        public string $note,
        public ?MeasureDraft $draft,
        public array $problems = [],
        public array $form = [],
    ) {
    }
}
