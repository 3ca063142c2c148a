<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Exchange\Case\CaseFile;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('garden:propose', 'Reads the log of a case and proposes what to change.')]
final class ProposeCommand extends CaseCommand
{
    protected function answerCase(CaseFile $case): array
    {
        return $this->runner->propose($case);
    }
}
