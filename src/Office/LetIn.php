<?php

declare(strict_types=1);

namespace HandGarden\Office;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Audit;
use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\CodeKind;
use HandGarden\Account\StaffProvider;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

/** For the only lead of a clinic, who has no colleague to make a code for them. */
#[AsCommand('garden:let-in', 'Prints a code for a new password of somebody who cannot get in')]
final class LetIn extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly StaffProvider $people,
        private readonly AccountCodes $codes,
        private readonly Audit $audit,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('email', InputArgument::REQUIRED, 'Under which they sign in')
            ->addOption(
                'second-factor-off',
                null,
                InputOption::VALUE_NONE,
                'Takes off their second factor as well',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $staff = $this->people->find($input->getArgument('email'));
        if (null === $staff || !$staff->active) {
            $style->error('Nobody signs in under that.');

            return self::FAILURE;
        }
        $takesOff = true === $input->getOption('second-factor-off');
        $code = $this->entities->wrapInTransaction(function () use ($staff, $takesOff): string {
            if ($takesOff) {
                $staff->takeOffSecondFactor();
                $this->entities->flush();
                $this->audit->noted($staff->clinicId, 'took off the second factor', $staff->id);
            }
            $this->audit->noted($staff->clinicId, 'made a code for a new password', $staff->id);

            return $this->codes->make($staff, CodeKind::Reset, null);
        });
        $style->writeln($staff->name.' chooses a new password under "I have a code", within one hour:');
        $style->writeln($code);

        return self::SUCCESS;
    }
}
