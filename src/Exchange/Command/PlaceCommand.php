<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Exchange\Case\CaseFile;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('garden:place', 'Places a case on all ladders and says why.')]
final class PlaceCommand extends CaseCommand
{
    protected function answerCase(CaseFile $case): array
    {
        return $this->runner->place($case);
    }
}
