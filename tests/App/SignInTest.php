<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\ActiveChecker;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Account\SwitchedOff;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;

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
        self::assertStringContainsString('do not belong together', $this->page());
        self::assertInputValueSame('_username', $staff->email);
    }

    public function testFiveWrongTriesHaveToWait(): void
    {
        $staff = $this->staff($this->clinic());
        for ($i = 0; $i < 6; ++$i) {
            $this->tryToSignIn($staff->email, 'wrong');
        }
        $this->browser->followRedirect();

        self::assertStringContainsString('Too many tries', $this->page());
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

    /** @param array<string, string> $server of the request that signs in */
    #[TestWith([[], true])]
    #[TestWith([['HTTP_HOST' => '127.0.0.1:8080'], true])]
    #[TestWith([['HTTP_HOST' => '[::1]:8080', 'REMOTE_ADDR' => '::1'], true])]
    #[TestWith([['REMOTE_ADDR' => '192.0.2.7'], false])]
    #[TestWith([['HTTP_FORWARDED' => 'for=192.0.2.7'], false])]
    #[TestWith([['HTTP_X_FORWARDED_FOR' => '127.0.0.1'], false])]
    #[TestWith([['HTTP_X_FORWARDED_HOST' => '127.0.0.1'], false])]
    #[TestWith([['HTTP_VIA' => '1.1 tunnel'], false])]
    public function testPeopleOfTheDemonstrationSignInOnThisMachineOnly(array $server, bool $isLetIn): void
    {
        $demo = new Staff($this->clinic()->id, 'demo@quayside.example', 'Demo', Role::Lead, forDemo: true);
        $demo->password = password_hash('secret', \PASSWORD_BCRYPT, ['cost' => 4]);
        $this->keep($demo);
        $page = $this->browser->request('GET', '/sign-in', server: $server);
        $this->browser->request('POST', '/sign-in', [
            '_username' => $demo->email,
            '_password' => 'secret',
            '_csrf_token' => (string) $page->filter('input[name="_csrf_token"]')->attr('value'),
        ], server: $server);
        $this->browser->request('GET', '/', server: $server);

        $this->assertStatus($isLetIn ? 200 : 302);
    }

    #[TestWith(['clinic.example'])]
    #[TestWith(['127.0.0.1.clinic.example'])]
    public function testTheHouseAnswersToItsOwnNameAlone(string $host): void
    {
        $this->browser->request('GET', '/sign-in', server: ['HTTP_HOST' => $host]);

        $this->assertStatus(421);
        self::assertStringNotContainsString('Sign in', $this->page());
    }

    public function testNobodyOfTheDemonstrationIsLetInWhereOthersAreServed(): void
    {
        $requests = new RequestStack();
        $requests->push(Request::create('http://127.0.0.1/sign-in'));
        $demo = new Staff($this->clinic()->id, 'demo@quayside.example', 'Demo', Role::Lead, forDemo: true);

        $this->expectException(SwitchedOff::class);
        (new ActiveChecker(false, $requests))->checkPreAuth($demo);
    }

    private function tryToSignIn(string $email, string $password): void
    {
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['_username' => $email, '_password' => $password]);
    }
}
