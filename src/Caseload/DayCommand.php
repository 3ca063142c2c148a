<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use HandGarden\Account\SignIn\Throttle;
use HandGarden\Web\Clock;
use HandGarden\Web\OnceOnly;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * What the passing of time changes: rows of clients whose day is over are worked out anew. Run every five minutes; a
 * night that was missed is caught up in one run.
 */
#[AsCommand(
    'garden:day',
    'Works out anew what is kept of clients whose day is over, or of whom something changed',
)]
final class DayCommand extends Command
{
    public function __construct(
        private readonly Renewal $renewal,
        private readonly OnceOnly $forms,
        private readonly Throttle $tries,
        private readonly Clock $clock,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $renewed = $this->renewal->renewAll();
        $this->tries->forgetBefore($this->clock->now()->modify('-1 day'));
        $this->forms->forgetBefore($this->clock->now()->modify('-2 days'));
        $output->writeln(\sprintf('%d rows are new.', $renewed));

        return self::SUCCESS;
    }
}
