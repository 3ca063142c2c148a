<?php

declare(strict_types=1);

namespace HandGarden\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Sets the mark "trained in hands-on release" of a therapist, or takes it back. */
#[AsCommand('garden:trained', 'Marks a therapist as trained in hands-on release, or takes the mark back')]
final class TrainedCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Audit $audit,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('email', InputArgument::REQUIRED, 'Under which they sign in')
            ->addOption('since', null, InputOption::VALUE_REQUIRED, 'Day of the training', default: 'today')
            ->addOption('no', null, InputOption::VALUE_NONE, 'Takes the mark back');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $staff = $this->entities->getRepository(Staff::class)->findOneBy(
            ['email' => mb_strtolower(trim($input->getArgument('email')))],
        );
        if (null === $staff) {
            return $this->refuse($style, 'Nobody signs in under that.');
        }
        if (Role::Assistant === $staff->role) {
            return $this->refuse($style, $staff->name.' is no therapist.');
        }
        $day = date_create_immutable($input->getOption('since'), new \DateTimeZone('UTC'));
        if (false === $day || $day > new \DateTimeImmutable()) {
            return $this->refuse($style, '--since is a day such as 2026-11-02, and not to come.');
        }
        $takesBack = true === $input->getOption('no');
        $staff->releaseTrainedOn = $takesBack ? null : $day;
        $this->entities->wrapInTransaction(function () use ($staff, $takesBack): void {
            $this->entities->flush();
            $this->audit->noted(
                $staff->clinicId,
                $takesBack ? 'took back the mark of hands-on release' : 'marked as trained in hands-on release',
                $staff->id,
            );
        });
        $style->success($staff->name.($takesBack ? ': the mark is taken back.' : ' is marked as trained.'));

        return self::SUCCESS;
    }

    private function refuse(SymfonyStyle $style, string $why): int
    {
        $style->error($why);

        return self::FAILURE;
    }
}
