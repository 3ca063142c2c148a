<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Proof\PasswordCheck;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\PasswordHasher\Hasher\NativePasswordHasher;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;

/** The work of looking at a password tells nobody whether there is such a person. */
final class PasswordCheckTest extends TestCase
{
    /** @return iterable<string, array{?string, string, bool}> */
    public static function people(): iterable
    {
        yield 'the right password' => ['seven lamps on the quay', 'seven lamps on the quay', true];
        yield 'a wrong one' => ['seven lamps on the quay', 'not it', false];
        yield 'nobody' => [null, 'not it', false];
        yield 'invited, and never chose one' => ['', '', false];
    }

    #[DataProvider('people')]
    public function testOneHashIsLookedAtWhoeverItIs(?string $has, string $typed, bool $isRight): void
    {
        $hasher = new class implements PasswordHasherInterface {
            /** @var array<string, int> */
            public array $done = ['hash' => 0, 'verify' => 0];

            private NativePasswordHasher $native;

            public function __construct()
            {
                $this->native = new NativePasswordHasher(cost: 4);
            }

            public function hash(string $plainPassword): string
            {
                ++$this->done['hash'];

                return $this->native->hash($plainPassword);
            }

            public function verify(string $hashedPassword, string $plainPassword): bool
            {
                ++$this->done['verify'];

                return $this->native->verify($hashedPassword, $plainPassword);
            }

            public function needsRehash(string $hashedPassword): bool
            {
                return false;
            }
        };
        $check = new PasswordCheck(self::factoryOf($hasher), new ArrayAdapter());
        $check->isRight(null, 'warms up'); // the hash of nobody is made once
        $hasher->done = ['hash' => 0, 'verify' => 0];
        $staff = null === $has ? null : new Staff('c', 'sefa@quayside.example', 'Sefa', Role::Therapist);
        if (null !== $staff && '' !== $has) {
            $staff->password = (new NativePasswordHasher(cost: 4))->hash($has);
        }

        self::assertSame($isRight, $check->isRight($staff, $typed));
        self::assertSame(['hash' => 0, 'verify' => 1], $hasher->done);
    }

    private static function factoryOf(PasswordHasherInterface $hasher): PasswordHasherFactoryInterface
    {
        $factory = self::createStub(PasswordHasherFactoryInterface::class);
        $factory->method('getPasswordHasher')->willReturn($hasher);

        return $factory;
    }
}
