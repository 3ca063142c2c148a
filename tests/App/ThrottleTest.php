<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\SignIn\KnownBrowser;
use HandGarden\Account\SignIn\Throttle;
use HandGarden\Account\SignIn\TooManyTries;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\HttpFoundation\Request;

/** How often a password may be tried, by account, by browser and by address. */
final class ThrottleTest extends GardenTestCase
{
    use ClockSensitiveTrait;

    private const MAREN = 'maren@quayside.example';

    public function testFiveTriesFitWhereverTheyComeFrom(): void
    {
        foreach (range(1, 5) as $n) {
            self::assertTrue($this->fits(self::MAREN, null, '192.0.2.'.$n));
        }
        self::assertFalse($this->fits(self::MAREN, null, '192.0.2.99'));
        self::assertFalse($this->fits(' Maren@quayside.EXAMPLE', null, '192.0.2.98'), 'as it is written');
        self::assertTrue($this->fits('sefa@quayside.example', null, '192.0.2.99'));
    }

    public function testOneMoreFitsAfterTwoMinutesAndAllOfThemAfterTen(): void
    {
        $clock = new MockClock('2026-12-01 09:00:00');
        Clock::set($clock);
        $this->fill(5);
        $clock->sleep(121);
        self::assertTrue($this->fits());
        self::assertFalse($this->fits());
        $clock->sleep(601);
        $this->fill(5);
        self::assertFalse($this->fits());
    }

    public function testTheBrowserSomebodyKnowsIsNotShutByWhoGuessesElsewhere(): void
    {
        $this->fill(5);
        self::assertFalse($this->fits());

        self::assertTrue($this->fits(self::MAREN, str_repeat('ab', 16)));
    }

    public function testAnAddressThatGuessesManyNamesIsStoppedAndKnownBrowsersBehindItAreNot(): void
    {
        foreach (range(1, 60) as $n) {
            self::assertTrue($this->fits('nobody'.$n.'@quayside.example'));
        }
        self::assertFalse($this->fits('sefa@quayside.example'));
        self::assertTrue($this->fits('sefa@quayside.example', null, '198.51.100.7'));
        self::assertTrue($this->fits('sefa@quayside.example', str_repeat('ab', 16)));
    }

    public function testWhoGotInStartsAnew(): void
    {
        $this->fill(4);
        $this->throttle()->giveBack(self::MAREN, null, '192.0.2.1');
        $this->fill(5);

        self::assertFalse($this->fits());
    }

    public function testABrowserIsKnownByAMarkThatNobodyElseCanMake(): void
    {
        $browsers = new KnownBrowser('a secret');
        $cookie = $browsers->remember(new Request(), self::MAREN, new \DateTimeImmutable());
        $later = new Request(cookies: [KnownBrowser::COOKIE => $cookie->getValue()]);

        self::assertNotNull($browsers->of($later, 'MAREN@quayside.example'));
        self::assertNull($browsers->of($later, 'sefa@quayside.example'));
        self::assertNull((new KnownBrowser('another'))->of($later, self::MAREN));
        self::assertStringNotContainsString('maren', (string) $cookie->getValue());
        self::assertTrue($cookie->isHttpOnly());
    }

    private function fill(int $tries): void
    {
        foreach (range(1, $tries) as $n) {
            self::assertTrue($this->fits(), (string) $n);
        }
    }

    private function fits(
        string $account = self::MAREN,
        ?string $browser = null,
        string $address = '192.0.2.1',
    ): bool {
        try {
            $this->throttle()->take($account, $browser, $address);
        } catch (TooManyTries) {
            return false;
        }

        return true;
    }

    private function throttle(): Throttle
    {
        return $this->service(Throttle::class);
    }
}
