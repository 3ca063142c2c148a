<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\Process;

/** Draws beforehand what the catalogue shows; next time only what changed. */
#[AsCommand('garden:pictures:draw', 'Draws all pictures of the catalogue that are not drawn yet')]
final class DrawPictures extends Command
{
    private const WORKERS = 2;

    public function __construct(
        private readonly CatalogueStore $catalogue,
        private readonly HandPictures $pictures,
        private readonly TaskPictures $tasks,
        #[Autowire('%kernel.project_dir%/bin/console')]
        private readonly string $console,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption(
            'moving',
            null,
            InputOption::VALUE_NONE,
            'The moving pictures too',
        );
        $this->addOption(
            'part',
            null,
            InputOption::VALUE_REQUIRED,
            'Only every n-th, for a worker: 0/2 or 1/2',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $moving = true === $input->getOption('moving');
        $part = $input->getOption('part');
        $wanted = $this->wanted($moving);
        if (\is_string($part)) {
            [$n, $of] = array_map(
                intval(...),
                explode('/', $part) + [1 => '1'],
            );
            foreach ($wanted as [$hash, $kind]) {
                if (crc32($hash) % max(
                    1,
                    $of,
                ) === $n) { // by name, so that workers that begin at different times agree
                    'svg' === $kind ? $this->pictures->draw($hash) : $this->pictures->drawBook($hash);
                    $output->writeln('.');
                }
            }

            return Command::SUCCESS;
        }
        $bar = new ProgressBar($output, \count($wanted));
        $bar->start();
        $workers = [];
        for ($n = 0; $n < self::WORKERS && [] !== $wanted; ++$n) {
            // the inner loops take half the time when compiled
            $workers[] = $worker = new Process(
                [
                    \PHP_BINARY,
                    '-d',
                    'opcache.enable_cli=1',
                    '-d',
                    'opcache.jit=function',
                    '-d',
                    'opcache.jit_buffer_size=64M',
                    $this->console,
                    'garden:pictures:draw',
                    '--part='.$n.'/'.self::WORKERS,
                    ...($moving ? ['--moving'] : []),
                ],
                null,
                null,
                null,
                timeout: null,
            );
            $worker->start(static function (string $type, string $text) use ($bar): void {
                $bar->advance(Process::OUT === $type ? substr_count($text, '.') : 0);
            });
        }
        $failed = 0;
        foreach ($workers as $worker) {
            if (0 !== $worker->wait()) {
                ++$failed;
                $output->writeln("\n".$worker->getErrorOutput());
            }
        }
        $bar->finish();
        $output->writeln(\sprintf("\n%d drawn.", \count($wanted)));

        return 0 === $failed ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return list<array{string, string}> hash and kind of what is not drawn yet; naming puts its spec down */
    private function wanted(bool $moving): array
    {
        $wanted = [];
        $rungs = $this->catalogue->get()->rungs();
        foreach ([...$rungs, ...array_values($this->tasks->all($rungs[0]))] as $rung) {
            foreach (Side::cases() as $side) {
                foreach ($this->pictures->strip($rung, $side) as $still) {
                    $wanted[] = [substr($still, 7, 32), 'svg'];
                }
                if ($moving) {
                    $wanted[] = [substr($this->pictures->bookOf($rung, $side), 7, 32), 'json'];
                }
            }
        }
        $distinct = array_values(
            array_column(array_map(static fn (array $w): array => [$w[0].$w[1], $w], $wanted), 1, 0),
        );

        return array_values(
            array_filter($distinct, fn (array $w): bool => !$this->pictures->isDrawn($w[0], $w[1])),
        );
    }
}
