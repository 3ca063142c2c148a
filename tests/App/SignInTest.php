<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\ActiveChecker;
use HandGarden\Account\Staff;

final class SignInTest extends GardenTestCase
{
    public function testSignsInAndLandsOnToday(): void
    {
        $staff = $this->staff($this->clinic());
        $this->tryToSignIn($staff->email, 'secret');
        $this->browser->followRedirect();

        self::assertSelectorTextContains('h1', 'Today');
    }

    public function testAWrongPasswordSaysSoAndKeepsTheAddress(): void
    {
        $staff = $this->staff($this->clinic());
        $this->tryToSignIn($staff->email, 'wrong');
        $this->browser->followRedirect();

        $this->assertStatus(422);
        self::assertStringContainsString('Invalid credentials', $this->page());
        self::assertInputValueSame('_username', $staff->email);
    }

    public function testFiveWrongTriesHaveToWait(): void
    {
        $staff = $this->staff($this->clinic());
        for ($i = 0; $i < 6; ++$i) {
            $this->tryToSignIn($staff->email, 'wrong');
        }
        $this->browser->followRedirect();

        self::assertStringContainsString('Too many failed login attempts', $this->page());
    }

    public function testWhoLeftCannotSignInAndIsOutAtOnce(): void
    {
        $staff = $this->staff($this->clinic());
        $this->signIn($staff);
        $this->browser->request('GET', '/');
        $this->assertStatus(200);
        $this->fresh($staff)->active = false;
        $this->entities->flush();
        $this->browser->request('GET', '/');
        $this->assertStatus(302);
        $this->tryToSignIn($staff->email, 'secret');
        $this->browser->followRedirect();

        self::assertStringContainsString('switched off', $this->page());
    }

    public function testPeopleOfTheDemonstrationSignInOnThisMachineOnly(): void
    {
        $checker = static fn (bool $loopback): ActiveChecker => new ActiveChecker(
            $loopback,
        );
        $demo = new Staff(
            $this->clinic()->id,
            'demo@quayside.example',
            'Demo',
            \HandGarden\Account\Role::Lead,
            forDemo: true,
        );

        $checker(true)->checkPreAuth($demo);
        $this->expectException(
            \Symfony\Component\Security\Core\Exception\CustomUserMessageAccountStatusException::class,
        );
        $checker(false)->checkPreAuth($demo);
    }

    private function tryToSignIn(string $email, string $password): void
    {
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['_username' => $email, '_password' => $password]);
    }
}
