<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Core\CoreError;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Reads JSON from a file or standard input and prints the answer as JSON. Exit 2 and a message when it is wrong. */
abstract class FileCommand extends Command
{
    /**
     * @return array<string, mixed>
     *
     * @throws CoreError
     */
    abstract protected function answer(string $json): array;

    protected function configure(): void
    {
        $this->addArgument(
            'file',
            InputArgument::REQUIRED,
            'JSON (see docs/formats.md), or - for standard input',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $json = @file_get_contents('-' === $file ? 'php://stdin' : $file);
        if (false === $json) {
            return self::refuse($output, \sprintf('Cannot read %s.', $file));
        }
        try {
            $answer = $this->answer($json);
        } catch (CoreError $e) {
            return self::refuse($output, $this->explained($e));
        }
        $output->writeln(
            json_encode(
                $answer,
                \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_THROW_ON_ERROR,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** What an error says to the person at the terminal. */
    protected function explained(CoreError $error): string
    {
        return $error->getMessage();
    }

    private static function refuse(OutputInterface $output, string $message): int
    {
        (
            $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output
        )->writeln($message, OutputInterface::OUTPUT_RAW);

        return Command::INVALID;
    }
}
