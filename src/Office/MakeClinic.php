<?php

declare(strict_types=1);

namespace HandGarden\Office;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Audit;
use HandGarden\Account\Clinic;
use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\CodeKind;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** The first step of a clinic: itself and its lead, who goes on from there by the pages alone. */
#[AsCommand('garden:clinic', 'Makes a clinic and its first lead, and prints the link for their password')]
final class MakeClinic extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly AccountCodes $codes,
        private readonly Invitations $invitations,
        private readonly ValidatorInterface $validator,
        private readonly Audit $audit,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('clinic', InputArgument::REQUIRED, 'Its name')
            ->addArgument('email', InputArgument::REQUIRED, 'Under which the lead signs in')
            ->addArgument('name', InputArgument::REQUIRED, 'Of the lead')
            ->addOption('zone', null, InputOption::VALUE_REQUIRED, 'Time zone', default: 'UTC')
            ->addOption(
                'emergency',
                null,
                InputOption::VALUE_REQUIRED,
                'Number to call in an emergency',
                default: '112',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $person = new InviteInput();
        $person->name = trim(self::text($input->getArgument('name')));
        $person->email = mb_strtolower(trim(self::text($input->getArgument('email'))));
        $name = trim(self::text($input->getArgument('clinic')));
        $zone = self::text($input->getOption('zone'));
        $problem = $this->problem($person, $name, $zone);
        if (null !== $problem || '' === $person->email) {
            $style->error($problem.' Nothing was made.');

            return self::FAILURE;
        }
        $clinic = new Clinic($name, self::text($input->getOption('emergency')), whomToCall: '');
        $clinic->zone = $zone;
        $lead = new Staff($clinic->id, $person->email, $person->name, Role::Lead);
        $code = $this->entities->wrapInTransaction(function () use ($clinic, $lead): string {
            $this->entities->persist($clinic);
            $this->entities->persist($lead);
            $this->entities->flush();
            $this->audit->noted($clinic->id, 'made the clinic', $clinic->id);
            $this->audit->noted($clinic->id, 'invited: lead', $lead->id);

            return $this->codes->make($lead, CodeKind::Invite, null);
        });
        $style->success($clinic->name.' is there. Its lead goes on with this link, within seven days:');
        $style->writeln($this->invitations->address($code));

        return self::SUCCESS;
    }

    private function problem(InviteInput $person, string $clinic, string $zone): ?string
    {
        $violations = $this->validator->validate($person);

        return match (true) {
            0 < $violations->count() => (string) $violations->get(0)->getMessage(),
            '' === $clinic || mb_strlen($clinic) > 120 => 'A clinic has a name of at most 120 characters.',
            !\in_array($zone, \DateTimeZone::listIdentifiers(), true) => $zone.' is not a time zone.',
            0 < $this->entities->getRepository(Staff::class)->count(
                ['email' => $person->email],
            ) => 'Somebody signs in under this e-mail already.',
            default => null,
        };
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
