<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Home\Shared\CareHome;
use HandGarden\Home\Shared\CareWorker;
use HandGarden\Home\Shared\SharedTablet;
use Symfony\Component\BrowserKit\Cookie;

/** A tablet of a care home: whose list it is, who signs in, one plan at a time, and what a care worker sees. */
final class SharedTabletTest extends AtHomeTestCase
{
    private CareHome $home;

    private CareWorker $worker;

    private SharedTablet $tablet;

    protected function setUp(): void
    {
        parent::setUp();
        $now = new \DateTimeImmutable();
        $clinicId = $this->odalys->clinicId;
        $this->home = new CareHome($clinicId, 'Harbour House', at: $now);
        $this->home->takeIn($this->odalys);
        $this->keep($this->home);
        $this->worker = $this->keep(
            new CareWorker($clinicId, $this->home->id, 'Perla Voss', 'PV', digits: '2580', at: $now),
        );
        $this->tablet = new SharedTablet(
            $clinicId,
            $this->home->id,
            'first floor',
            $this->odalys->therapistId,
            madeAt: $now,
        );
        $this->cookie('garden-tablet', $this->tablet->secret->renew($now));
        $this->keep($this->tablet);
        $this->agree(ConsentKind::HomeUse);
        $this->agree(ConsentKind::HelperSees);
    }

    public function testTheListIsShownToWhoeverSignedInAndOnlyWithTheRightDigits(): void
    {
        self::assertSame([], $this->ask('now')['residents']);
        self::assertSame('wrong', $this->signInWith('PV', '0000')['problem']);
        self::assertSame('wrong', $this->signInWith('XX', '2580')['problem']);
        $list = $this->signInWith('pv', '2580');
        self::assertSame('Perla Voss', $list['worker']);
        self::assertSame(
            [['id' => $this->odalys->id, 'first' => 'Odalys', 'picture' => 'sun']],
            $list['residents'],
        );
    }

    public function testFiveWrongTriesAreEnough(): void
    {
        for ($try = 0; $try < 5; ++$try) {
            self::assertSame('wrong', $this->signInWith('PV', '1111')['problem']);
        }
        self::assertSame('too-many', $this->signInWith('PV', '2580')['problem']);
    }

    public function testOnePlanIsOpenAtATimeAndClosedNothingOpensIt(): void
    {
        $this->signInWith('PV', '2580');
        self::assertSame(['state' => 'open'], $this->ask('open', ['client' => $this->odalys->id]));
        $day = $this->day();
        self::assertSame([10, 'Odalys'], [$day['shared'], $day['first']]);
        $opened = $this->browser->getCookieJar()->get('garden-home', '/home');
        self::assertNotNull($opened);

        $list = $this->ask('close', ['leaves' => false]);
        self::assertSame('Perla Voss', $list['worker'], 'still signed in');
        $this->cookie('garden-home', $opened->getValue());
        $this->home('/home/day', []);
        $this->assertStatus(403);
        self::assertNull($this->ask('close', ['leaves' => true])['worker']);
        self::assertArrayNotHasKey('state', $this->ask('open', ['client' => $this->odalys->id]));
    }

    public function testACareWorkerSeesThePlanAndNothingBeside(): void
    {
        $this->agree(ConsentKind::DiaryShared);
        $this->signInWith('PV', '2580');
        $this->ask('open', ['client' => $this->odalys->id]);
        $day = $this->day();
        self::assertSame(
            [null, [], [], null, 'helper'],
            [$day['diary'], $day['changes'], $day['messages'], $day['block'], $day['person']],
        );
        $helper = $this->entities->getRepository(Helper::class)->findOneBy(
            ['careWorkerId' => $this->worker->id],
        );
        self::assertNotNull($helper);
        self::assertSame(HelperKind::CareWorker, $helper->kind);
        self::assertFalse($helper->isThere(), 'until the stop signs were told, they count as nobody');
    }

    public function testATabletOpensAListOfFirstNamesAndNothingElse(): void
    {
        $this->signInWith('PV', '2580');
        $this->assertOpensNothingOfTheStaffSide();
        $this->home('/home/day', []);
        $this->assertStatus(403);
        $this->home('/home/told', ['sent_at' => null, 'told' => []]);
        $this->assertStatus(403);

        $this->ask('open', ['client' => $this->odalys->id]);
        $this->assertOpensNothingOfTheStaffSide();
        self::assertSame('Odalys', $this->day()['first']);
    }

    public function testWhoIsNotOnTheListOrDoesNotAgreeIsNotOpened(): void
    {
        $this->signInWith('PV', '2580');
        $other = $this->client($this->quayside(), $this->therapist());
        self::assertSame('not-open', $this->ask('open', ['client' => $other->id])['problem']);

        $this->ask('open', ['client' => $this->odalys->id]);
        $this->signIn($this->therapist());
        $this->post('/clinic/care-homes/'.$this->home->id, ['do' => 'gone', 'client' => $this->odalys->id]);
        $this->home('/home/day', []);
        $this->assertStatus(403);
        self::assertSame('not-open', $this->ask('open', ['client' => $this->odalys->id])['problem']);
    }

    public function testWhoeverLeavesAndATabletThatIsTakenOutOpenNothingMore(): void
    {
        $this->signInWith('PV', '2580');
        $this->ask('open', ['client' => $this->odalys->id]);
        $this->signIn($this->therapist());
        $this->post('/clinic/care-homes/'.$this->home->id, ['do' => 'left', 'worker' => $this->worker->id]);
        $this->home('/home/day', []);
        $this->assertStatus(403);
        self::assertSame('wrong', $this->signInWith('PV', '2580')['problem']);

        $this->signIn($this->therapist());
        $this->post(
            '/clinic/care-homes/'.$this->home->id.'/tablets/'.$this->tablet->id.'/out',
            ['why' => 'lost'],
        );
        self::assertSame(['out' => 'taken-out'], $this->ask('now'));
    }

    public function testAClientIsPutOnTheListOnlyWhenTheyAgree(): void
    {
        $other = $this->client($this->quayside(), $this->therapist());
        $this->signIn($this->therapist());
        $this->post('/clinic/care-homes/'.$this->home->id, ['do' => 'resident', 'client' => $other->id]);
        $this->browser->request('GET', '/clinic/care-homes/'.$this->home->id);
        self::assertStringContainsString('has not agreed to home use', $this->shown());
        $home = $this->entities->find(CareHome::class, $this->home->id);
        self::assertFalse($home?->hasResident($other->id));
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    private function ask(string $what, array $body = []): array
    {
        return $this->home('/home/house/'.$what, $body);
    }

    /** @return array<string, mixed> */
    private function signInWith(string $initials, string $digits): array
    {
        return $this->ask('sign-in', ['initials' => $initials, 'digits' => $digits]);
    }

    private function cookie(string $name, string $secret): void
    {
        $this->browser->getCookieJar()->set(new Cookie($name, $secret, null, '/home', domain: 'localhost'));
    }
}
