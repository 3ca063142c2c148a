<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Clinic;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Device\Device;
use HandGarden\Planning\DrawAhead;
use HandGarden\Web\Clock;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Made-up clinic, people and histories. Loaded once, and only where the application listens on this machine alone. */
#[AsCommand('garden:demo:load', 'Loads the demonstration clinic, once')]
final class LoadDemo extends Command
{
    /** What is not drawn by then is drawn when it is looked at. */
    private const DRAWS_SECONDS = 12.0;

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly DemoClients $clients,
        private readonly DemoClass $class,
        private readonly Clock $clock,
        private readonly DrawAhead $pictures,
        private readonly bool $onLoopback,
        #[Autowire('%env(DEMO_PASSWORD)%')]
        private readonly string $password,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (!$this->onLoopback || '' === $this->password) {
            $output->writeln(
                'Demonstration data is for a machine that listens on loopback only (HG_LOOPBACK=1) and wants '
                    .'DEMO_PASSWORD. Nothing was loaded.',
            );

            return Command::FAILURE;
        }
        if ($this->entities->getRepository(Staff::class)->count(['forDemo' => true]) > 0) {
            $output->writeln('Demonstration data is there already.');

            return Command::SUCCESS;
        }
        $clinic = new Clinic(
            'Quayside Hand Clinic',
            '112',
            whomToCall: '',
        );
        $clinic->zone = 'Europe/Tallinn';
        $clinic->phone = '555 0101';
        $clinic->outOfHoursPhone = '555 0199';
        $clinic->hours = array_fill(
            1,
            5,
            ['08:00', '16:00'],
        );
        $this->entities->persist($clinic);
        $lead = $this->staff(
            $clinic,
            'maren',
            'Maren Ilves',
            Role::Lead,
        );
        $lead->releaseTrainedOn = $this->clock->now()->modify('-14 months')->setTime(
            0,
            0,
        );
        $this->staff($clinic, 'sefa', 'Sefa Ouland', Role::Therapist);
        $assistant = $this->staff(
            $clinic,
            'jory',
            'Jory Tamm',
            Role::Assistant,
        );
        $this->entities->flush();
        foreach (
            [
                ['Glove, right', DeviceKind::Glove],
                ['Force gauge', DeviceKind::Gauge],
                ['Wrist sensor', DeviceKind::Motion],
            ] as $place => [$name, $kind]
        ) {
            $this->entities->persist(
                Device::register(
                    $clinic->id,
                    $name,
                    $kind,
                    Side::Right,
                    simulated: true,
                    now: $this->clock->now()->modify(
                        \sprintf('+%d seconds', $place),
                    ),
                )[0],
            );
        }
        $bar = (new SymfonyStyle($input, $output))->createProgressBar(
            \count(DemoClients::NAMES),
        );
        $clients = $this->clients->make(
            $clinic,
            $lead,
            $assistant,
            now: $this->clock->now(),
            after: static function () use ($bar): void {
                $bar->advance();
            },
        );
        $bar->finish();
        $this->class->make($clients, $lead, $this->clock->now());
        $output->writeln('');
        $this->pictures->draw(self::DRAWS_SECONDS);
        $output->writeln('Demonstration data loaded.');

        return Command::SUCCESS;
    }

    private function staff(Clinic $clinic, string $key, string $name, Role $role): Staff
    {
        $staff = new Staff(
            $clinic->id,
            $key.'@quayside.example',
            $name,
            $role,
            forDemo: true,
        );
        $staff->password = $this->hasher->hashPassword(
            $staff,
            $this->password,
        );
        $this->entities->persist($staff);

        return $staff;
    }
}
