<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Desk\Demo\DemoClass;
use HandGarden\Desk\Demo\DemoClients;
use HandGarden\Desk\Demo\LoadDemo;
use HandGarden\Planning\DrawAhead;
use HandGarden\Web\Clock;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** The demonstration clinic can be loaded. */
abstract class DemoTestCase extends GardenTestCase
{
    protected function load(bool $onLoopback = true, string $password = 'garden-demo'): int
    {
        $command = new LoadDemo(
            $this->entities,
            $this->service(UserPasswordHasherInterface::class),
            $this->service(DemoClients::class),
            $this->service(DemoClass::class),
            clock: $this->service(Clock::class),
            pictures: $this->service(DrawAhead::class),
            onLoopback: $onLoopback,
            password: $password,
        );

        return (new CommandTester($command))->execute([]);
    }
}
