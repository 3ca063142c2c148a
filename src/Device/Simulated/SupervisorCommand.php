<?php

declare(strict_types=1);

namespace HandGarden\Device\Simulated;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseError;
use HandGarden\Web\Row;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Command\SignalableCommandInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\Process;

/**
 * Runs the simulated devices that somebody started on the bench page, and stops them when nobody wants them any
 * more.
 */
#[AsCommand('garden:devices', 'Keeps the wanted simulated devices running until it is stopped')]
final class SupervisorCommand extends Command implements SignalableCommandInterface
{
    private bool $going = true;

    /** @var array<string, array{Process, string}> process and profile by device */
    private array $running = [];

    public function __construct(
        private readonly Connection $connection,
        #[Autowire('%kernel.project_dir%/bin/console')]
        private readonly string $console,
    ) {
        parent::__construct();
    }

    /** @return list<int> */
    public function getSubscribedSignals(): array
    {
        return [\SIGTERM, \SIGINT];
    }

    public function handleSignal(int $signal, int|false $previousExitCode = 0): int|false
    {
        $this->going = false;

        return false;
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        while ($this->going) {
            try {
                $this->look($output);
            } catch (DatabaseError $e) {
                $output->writeln('The database does not answer: '.$e->getMessage());
                $this->connection->close();
            }
            usleep(700_000);
        }
        foreach ($this->running as [$process]) {
            $process->stop(1.0);
        }

        return Command::SUCCESS;
    }

    private function look(OutputInterface $output): void
    {
        $wanted = [];
        foreach (
            $this->connection->fetchAllAssociative(
                'SELECT id, kind, profile, secret FROM device WHERE wanted AND retired_at IS NULL AND secret IS NOT '
                    .'NULL',
            ) as $values
        ) {
            $row = new Row($values);
            $wanted[$row->text('id')] = $row;
        }
        foreach ($this->running as $id => [$process, $profile]) {
            if (
                !isset($wanted[$id])
                || $wanted[$id]->text('profile') !== $profile
                || !$process->isRunning()
            ) {
                $process->stop(1.0);
                unset($this->running[$id]);
            }
        }
        foreach ($wanted as $id => $row) {
            if (!isset($this->running[$id])) {
                $process = new Process(
                    [
                        \PHP_BINARY,
                        $this->console,
                        'garden:device',
                        $row->text('kind'),
                        '--behaviour',
                        $row->text('profile'),
                    ],
                    env: ['HG_DEVICE_TOKEN' => $row->text('secret')],
                    timeout: null,
                );
                $process->disableOutput();
                $process->start();
                $this->running[$id] = [$process, $row->text('profile')];
                $output->writeln(
                    \sprintf('%s %s started', $row->text('kind'), $row->text('profile')),
                );
            }
        }
    }
}
