<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Proof\CommonPasswords;
use HandGarden\Account\Proof\PasswordRules;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PasswordRulesTest extends TestCase
{
    private const NAMES = ['Maren Ilves', 'maren@quayside.example', 'Quayside Hand Clinic'];

    #[TestWith(['seven lamps on the quay', null])]
    #[TestWith(['nur kleine buchstaben', null], 'no digit and no sign is asked for')]
    #[TestWith(['кошка на тёплой крыше', null], 'in any script')]
    #[TestWith(['eleven char', 'password.short'])]
    #[TestWith(['qwertyuiop123456', 'password.common'], 'a common one with a number behind it')]
    #[TestWith(['PasswordPassword', 'password.common'], 'a common one twice')]
    #[TestWith(['unbelievable', 'password.common'])]
    #[TestWith(['MarenIlves2026', 'password.name'])]
    #[TestWith(['quaysideclinic!', 'password.name'])]
    public function testLengthCountsAndWhatManyHaveDoesNot(string $password, ?string $problem): void
    {
        self::assertSame($problem, $this->rules()->problem($password, self::NAMES));
    }

    public function testAVeryLongOneIsRefused(): void
    {
        self::assertSame('password.long', $this->rules()->problem(str_repeat('ab c', 33), self::NAMES));
    }

    public function testTheShippedListIsLongEnoughAndSorted(): void
    {
        $common = self::common();
        self::assertGreaterThanOrEqual(10_000, $common->count());
        foreach (['123456', 'password', 'dragon', 'trustno1', 'zxcvbnm'] as $word) {
            self::assertTrue($common->has($word), $word);
        }
        self::assertFalse($common->has('a lamp that nobody lit'));
    }

    private function rules(): PasswordRules
    {
        return new PasswordRules(self::common());
    }

    private static function common(): CommonPasswords
    {
        return new CommonPasswords(__DIR__.'/../../config/common-passwords.bin');
    }
}
