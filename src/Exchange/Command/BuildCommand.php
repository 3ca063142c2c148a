<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Exchange\Case\CaseFile;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('garden:build', 'Builds the routine of one sitting for a case.')]
final class BuildCommand extends CaseCommand
{
    protected function answerCase(CaseFile $case): array
    {
        return $this->runner->build($case);
    }
}
