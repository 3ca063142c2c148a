<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Core\CoreError;
use HandGarden\Core\Explained;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Exchange\Case\CaseRunner;
use HandGarden\Web\Wording;

/** A command about one case. */
abstract class CaseCommand extends FileCommand
{
    public function __construct(
        protected readonly CaseRunner $runner,
        private readonly Wording $wording,
    ) {
        parent::__construct();
    }

    protected function explained(CoreError $error): string
    {
        return $error instanceof Explained
            ? $this->wording->say($error->why())
            : parent::explained($error);
    }

    protected function answer(string $json): array
    {
        return $this->answerCase($this->runner->read($json));
    }

    /** @return array<string, mixed> */
    abstract protected function answerCase(CaseFile $case): array;
}
