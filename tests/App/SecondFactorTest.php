<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Proof\Base32;
use HandGarden\Account\Proof\Totp;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;

/** The second factor from setting it up to the recovery code on the day without the device. */
final class SecondFactorTest extends GardenTestCase
{
    private Clinic $quayside;

    private Staff $lead;

    private string $secret = '';

    /** Codes count once: each signing in takes one of a later step that is still near. */
    private int $ahead = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->quayside = $this->clinic();
        $this->lead = $this->staff($this->quayside, Role::Lead);
    }

    public function testNobodyIsSignedInBeforeTheCodeAndAUsedCodeOpensNothing(): void
    {
        $this->setUpFactor();
        $used = $this->code();
        $this->typePassword();
        self::assertSame('/sign-in/code', $this->browser->getRequest()->getPathInfo());
        $this->browser->request('GET', '/');
        $this->assertStatus(302);
        $this->browser->request('GET', '/sign-in/code');
        $this->typeCode($used);
        self::assertStringContainsString('A code counts once', $this->page());
        $this->typeCode($this->nextCode());

        self::assertSelectorTextContains('h1', 'Today');
    }

    public function testARecoveryCodeOpensOnce(): void
    {
        [$code] = $this->setUpFactor();
        $this->typePassword();
        $this->typeCode(strtolower($code));
        self::assertSelectorTextContains('h1', 'Today');
        self::assertCount(9, $this->fresh($this->lead)->recoveryCodes);
        $this->post('/sign-out', []);
        $this->typePassword();
        $this->typeCode($code);

        self::assertStringContainsString('A code counts once', $this->page());
    }

    public function testCodesAreThrottledByPerson(): void
    {
        $this->setUpFactor();
        $this->typePassword();
        foreach (range(1, 5) as $n) {
            $this->typeCode('00000'.$n);
        }
        $this->typeCode($this->nextCode());

        self::assertStringContainsString('Too many tries', $this->page());
    }

    public function testWhereTheClinicDemandsItALeadSetsItUpBeforeAnythingElse(): void
    {
        $this->fresh($this->quayside)->wantsSecondFactorOfLeads = true;
        $this->entities->flush();
        $this->signIn($this->lead);
        $this->browser->request('GET', '/');
        self::assertResponseRedirects('/me/second-factor');
        $this->setUpFactor();
        $this->browser->request('GET', '/');
        $this->assertStatus(200);
        $this->signIn($this->staff($this->quayside));
        $this->browser->request('GET', '/');

        $this->assertStatus(200);
    }

    public function testTheSecretLiesSealedInTheDatabaseAndACodeOfItIsNeeded(): void
    {
        $this->signIn($this->lead);
        $this->browser->request('GET', '/me/second-factor');
        $this->browser->submitForm('Switch it on', ['code' => '000000', '_again' => 'secret']);
        $this->assertStatus(422);
        self::assertNull($this->fresh($this->lead)->secondFactor);
        $this->setUpFactor();
        $kept = (string) $this->fresh($this->lead)->secondFactor;

        self::assertStringNotContainsString($this->secret, $kept);
        self::assertStringNotContainsString($this->secret, base64_decode($kept, strict: true));
    }

    /** @return list<string> recovery codes */
    private function setUpFactor(): array
    {
        $this->signIn($this->lead);
        $page = $this->browser->request('GET', '/me/second-factor');
        $this->secret = (string) Base32::decode($page->filter('strong.font-mono')->text());
        $this->browser->submitForm('Switch it on', ['code' => $this->code(), '_again' => 'secret']);
        $page = $this->browser->followRedirect();
        $this->assertStatus(200);

        $codes = [];
        foreach ($page->filter('ul.font-mono li') as $line) {
            $codes[] = $line->textContent;
        }

        return $codes;
    }

    private function typePassword(): void
    {
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', '/sign-in');
        $this->browser->submitForm('Sign in', ['_username' => $this->lead->email, '_password' => 'secret']);
        $this->browser->followRedirect();
    }

    private function typeCode(string $code): void
    {
        $this->browser->submitForm('Sign in', ['code' => $code]);
        $this->browser->followRedirect();
    }

    private function code(): string
    {
        return Totp::code($this->secret, Totp::stepAt(new \DateTimeImmutable()) + $this->ahead);
    }

    private function nextCode(): string
    {
        ++$this->ahead;

        return $this->code();
    }
}
