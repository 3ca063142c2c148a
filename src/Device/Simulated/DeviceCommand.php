<?php

declare(strict_types=1);

namespace HandGarden\Device\Simulated;

use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * A made-up device as a process of its own: it knows the address and its token, and nothing of the application. How it
 * behaves is `--profile` on the command line, `--behaviour` to the framework, which keeps the other word for itself.
 */
#[AsCommand(
    'garden:device',
    'Runs a simulated device: glove, gauge or motion. The token comes from HG_DEVICE_TOKEN.',
)]
final class DeviceCommand extends Command
{
    /** Glove frames wait at most this long, so that the drawing follows the hand. */
    private const DELIVER_MS = ['glove' => 60, 'gauge' => 100, 'motion' => 200];

    public function __construct(
        private readonly HttpClientInterface $http,
        #[Autowire('%env(HG_URL)%')]
        private readonly string $url,
        #[\SensitiveParameter]
        #[Autowire('%env(HG_DEVICE_TOKEN)%')]
        private readonly string $token,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('kind', InputArgument::REQUIRED, 'glove, gauge or motion')
            ->addOption(
                'behaviour',
                null,
                InputOption::VALUE_REQUIRED,
                implode(
                    ', ',
                    array_map(static fn (Profile $p): string => $p->value, Profile::cases()),
                ),
                default: 'good',
            )
            ->addOption(
                'seconds',
                null,
                InputOption::VALUE_REQUIRED,
                'How long; 0: until stopped',
                default: '0',
            )
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'Of the noise', default: '1')
            ->addOption(
                'print',
                null,
                InputOption::VALUE_NONE,
                'Prints the lines of the given seconds at once and sends nothing',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $text = static fn (mixed $value): string => \is_string($value) ? $value : '';
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $kind = DeviceKind::tryFrom($text($input->getArgument('kind')));
        $profile = Profile::tryFrom($text($input->getOption('behaviour')));
        if (null === $kind || null === $profile || !\in_array($profile, Profile::named($kind), true)) {
            $errors->writeln(
                'Kinds and profiles: '.implode(
                    '; ',
                    array_map(
                        static fn (DeviceKind $k): string => $k->value.': '.implode(
                            ', ',
                            array_map(static fn (Profile $p): string => $p->value, Profile::named($k)),
                        ),
                        DeviceKind::cases(),
                    ),
                ),
            );

            return Command::INVALID;
        }
        $device = new SimulatedDevice($kind, $profile, (int) $text($input->getOption('seed')));
        $hello = json_encode(
            [
                'hello' => Batch::PROTOCOL,
                'version' => 1,
                'kind' => $kind->value,
                'run' => bin2hex(random_bytes(8)),
            ],
            \JSON_THROW_ON_ERROR,
        )."\n";
        $frames = (int) round((float) $text($input->getOption('seconds')) * $kind->rateHz());
        if (true === $input->getOption('print')) {
            $output->write($hello);
            for ($seq = 0; $seq < max(1, $frames); ++$seq) {
                $output->write($device->lines($seq));
            }

            return Command::SUCCESS;
        }
        if ('' === $this->url || '' === $this->token) {
            $errors->writeln(
                'HG_URL and HG_DEVICE_TOKEN say where to send and who is sending; nothing was sent.',
            );

            return Command::FAILURE;
        }

        return $this->send($kind, $device, $hello, $frames, errors: $errors);
    }

    private function send(
        DeviceKind $kind,
        SimulatedDevice $device,
        string $hello,
        int $frames,
        OutputInterface $errors,
    ): int {
        $every = max(1, (int) round(self::DELIVER_MS[$kind->value] * $kind->rateHz() / 1000.0));
        $start = hrtime(true);
        $held = '';
        for ($seq = 0; 0 === $frames || $seq < $frames; ++$seq) {
            $wait = $start + (int) (1e9 * $seq / $kind->rateHz()) - hrtime(true);
            if ($wait > 0) {
                usleep(intdiv($wait, 1000));
            }
            $held .= $device->lines($seq);
            if (0 !== ($seq + 1) % $every || '' === $held) {
                continue;
            }
            try {
                $answer = $this->http->request(
                    'POST',
                    $this->url.'/device/frames',
                    [
                        'auth_bearer' => $this->token,
                        'headers' => ['Content-Type' => 'application/x-ndjson'],
                        'body' => $hello.$held,
                        'timeout' => 5.0,
                    ],
                );
                if (200 !== $answer->getStatusCode()) {
                    $errors->writeln('Refused: '.mb_substr($answer->getContent(false), 0, 200));

                    return Command::FAILURE;
                }
            } catch (ExceptionInterface $e) {
                $errors->writeln(
                    'Not delivered: '.$e->getMessage(),
                ); // a device goes on measuring while nobody listens
            }
            $held = '';
        }

        return Command::SUCCESS;
    }
}
