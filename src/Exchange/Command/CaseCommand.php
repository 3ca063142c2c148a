<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Exchange\Case\CaseRunner;

/** A command about one case. */
abstract class CaseCommand extends FileCommand
{
    public function __construct(
        protected readonly CaseRunner $runner,
    ) {
        parent::__construct();
    }

    protected function answer(string $json): array
    {
        return $this->answerCase($this->runner->read($json));
    }

    /** @return array<string, mixed> */
    abstract protected function answerCase(CaseFile $case): array;
}
