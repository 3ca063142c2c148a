<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Sitting\Alert;

/** A lead runs the clinic by its pages: who works here, as what, and who has whose clients. */
final class PeopleTest extends GardenTestCase
{
    private const PASSWORD = 'seven lamps on the quay';

    private Clinic $quayside;

    private Staff $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->quayside = $this->clinic();
        $this->lead = $this->staff($this->quayside, Role::Lead);
        $this->signIn($this->lead);
    }

    public function testWhoIsInvitedChoosesAPasswordAndSignsInAndTheLinkOpensOnce(): void
    {
        $this->act(
            'invite',
            ['name' => 'Sefa Ouland', 'email' => 'Sefa@Quayside.example', 'role' => 'therapist'],
        );
        $link = (string) $this->browser->followRedirect()->filter('input[aria-label="Link"]')->attr('value');
        $path = (string) parse_url($link, \PHP_URL_PATH);
        $this->post('/sign-out', []);

        $this->browser->request('GET', $path);
        self::assertSelectorTextContains('h1', 'Welcome, Sefa Ouland');
        $this->choose('too short');
        $this->assertStatus(422);
        self::assertStringContainsString('At least 12 characters', $this->page());
        $this->choose(self::PASSWORD);
        $this->browser->followRedirect();
        $this->browser->submitForm('Sign in', [
            '_username' => 'sefa@quayside.example',
            '_password' => self::PASSWORD,
        ]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'Today');

        $this->browser->request('GET', $path);
        $this->assertStatus(410);
    }

    public function testAnAddressThatIsTakenIsSaidInPlaceAndWhatWasTypedStays(): void
    {
        $this->act('invite', ['name' => 'Jory Tamm', 'email' => $this->lead->email, 'role' => 'assistant']);

        $this->assertStatus(422);
        self::assertSelectorTextContains('#p-email', 'signs in with this already');
        self::assertInputValueSame('name', 'Jory Tamm');
        self::assertSame(
            'assistant',
            $this->browser->getCrawler()->filter('input[name=role][checked]')->attr('value'),
        );
    }

    public function testADangerousActWantsThePasswordOfTheLead(): void
    {
        $colleague = $this->staff($this->quayside);
        foreach (['change', 'code', 'leave', 'second-factor-off'] as $act) {
            $this->act($colleague->id.'/'.$act, ['name' => 'X', 'role' => 'lead', '_again' => 'wrong']);
            $this->assertStatus(422);
            self::assertStringContainsString('not your password', $this->page(), $act);
        }

        $kept = $this->fresh($colleague);
        self::assertSame([Role::Therapist, true], [$kept->role, $kept->active]);
    }

    public function testRoleAndMarkAreSetAndTakenBack(): void
    {
        $colleague = $this->staff($this->quayside);
        $this->act(
            $colleague->id.'/change',
            ['name' => 'Sefa', 'role' => 'lead', 'trained' => '2026-01-15'],
        );
        $kept = $this->fresh($colleague);
        self::assertSame([Role::Lead, true], [$kept->role, $kept->isTrainedInRelease()]);

        $this->act(
            $colleague->id.'/change',
            ['name' => 'Sefa', 'role' => 'assistant', 'trained' => '2026-01-15'],
        );
        $this->assertStatus(422);
        self::assertSelectorTextContains('#p-trained', 'for therapists');

        $this->act($colleague->id.'/change', ['name' => 'Sefa', 'role' => 'assistant', 'trained' => '']);
        self::assertSame(Role::Assistant, $this->fresh($colleague)->role);
    }

    public function testTheClinicIsNeverWithoutALead(): void
    {
        $this->act($this->lead->id.'/change', ['name' => 'Maren', 'role' => 'therapist']);
        $this->assertStatus(422);
        self::assertSelectorTextContains('#p-role', 'without a lead');
        $this->act($this->lead->id.'/leave', []);
        $this->assertStatus(422);

        self::assertTrue($this->fresh($this->lead)->active);
    }

    public function testWhoLeavesHandsTheirClientsOverWithWhatWaitsAndIsOutAtOnce(): void
    {
        $leaving = $this->staff($this->quayside);
        $client = $this->client($this->quayside, $leaving, measured: false);
        $alert = $this->alert($client->id, $leaving);

        $this->act($leaving->id.'/leave', []);
        $this->assertStatus(422);
        self::assertSelectorTextContains('#p-leave_to', 'Choose a therapist');
        $this->act($leaving->id.'/leave', ['leave_to' => $this->lead->id]);

        self::assertFalse($this->fresh($leaving)->active);
        self::assertSame($this->lead->id, $this->fresh($client)->therapistId);
        self::assertSame($this->lead->id, $this->fresh($alert)->ownerId);
        $this->act($leaving->id.'/return', []);
        self::assertTrue($this->fresh($leaving)->active);
    }

    public function testADeputyHasTheClientsFirstOnTheirListOnThoseDaysAlone(): void
    {
        $away = $this->staff($this->quayside);
        $this->client($this->quayside, $away, measured: false, family: 'Zander');
        $this->client($this->quayside, $this->staff($this->quayside), measured: false, family: 'Aalto');
        $today = new \DateTimeImmutable('today', new \DateTimeZone('UTC'));
        $this->act($away->id.'/deputy', [
            'deputy' => $this->lead->id,
            'from' => $today->modify('+1 day')->format('Y-m-d'),
            'until' => $today->modify('+5 days')->format('Y-m-d'),
        ]);
        self::assertSame(['Aalto', 'Zander'], $this->familiesOnToday());

        $this->act($away->id.'/deputy', [
            'deputy' => $this->lead->id,
            'from' => $today->format('Y-m-d'),
            'until' => $today->modify('+5 days')->format('Y-m-d'),
        ]);
        self::assertSame(['Zander', 'Aalto'], $this->familiesOnToday());
        self::assertStringContainsString('You stand in for', $this->shown());
    }

    public function testACodeOfALeadOpensOnceAndEndsTheSessionsOfWhoeverKnewTheOldPassword(): void
    {
        $forgetful = $this->staff($this->quayside);
        $this->act($forgetful->id.'/code', []);
        $code = $this->browser->followRedirect()->filter('[data-made-code]')->text();
        $this->signIn($forgetful);
        $this->post('/sign-out', []);

        foreach ([['AAAA-AAAA-AAAA-AAAA', 422], [$code, 303], [$code, 422]] as [$typed, $status]) {
            $this->browser->request('GET', '/new-password');
            $this->browser->submitForm('Keep it', [
                'email' => $forgetful->email,
                'code' => $typed,
                'new_password' => self::PASSWORD,
                'new_password_again' => self::PASSWORD,
            ]);
            $this->assertStatus($status);
        }
        self::assertNotSame($forgetful->password, $this->fresh($forgetful)->password);
    }

    public function testOnesOwnPasswordIsChangedWithTheOldOneAndThisSessionGoesOn(): void
    {
        $typed = ['new_password' => self::PASSWORD, 'new_password_again' => self::PASSWORD];
        $this->post('/me/password', $typed + ['_again' => 'not it'], '/me');
        $this->assertStatus(422);
        $this->post('/me/password', $typed + ['_again' => 'secret'], '/me');
        $this->browser->followRedirect();

        $this->assertStatus(200);
        self::assertStringContainsString('Your new password is kept', $this->page());
        self::assertTrue(password_verify(self::PASSWORD, $this->fresh($this->lead)->password));
    }

    public function testTheTrailIsReadSearchedAndSaysThatItWasRead(): void
    {
        $colleague = $this->staff($this->quayside);
        $this->act($colleague->id.'/change', ['name' => 'Sefa Ouland', 'role' => 'lead']);
        $this->browser->request('GET', '/clinic/trail?staff='.$colleague->id.'&words=role');
        self::assertStringContainsString('set role: lead', $this->shown());
        $this->browser->request('GET', '/clinic/trail?words=nothing+of+it');
        self::assertStringContainsString('Nothing of this kind', $this->shown());
        $this->browser->request('GET', '/clinic/trail?reads=1');

        self::assertStringContainsString('read the trail of the clinic', $this->shown());
    }

    /** @param array<string, string> $form */
    private function act(string $path, array $form): void
    {
        $this->post('/clinic/people/'.$path, $form + ['_again' => 'secret'], '/clinic/people');
    }

    private function choose(string $password): void
    {
        $this->browser->submitForm('Keep it', [
            'new_password' => $password,
            'new_password_again' => $password,
        ]);
    }

    private function alert(string $clientId, Staff $owner): Alert
    {
        $now = new \DateTimeImmutable();

        return $this->keep(new Alert(
            $this->quayside->id,
            $clientId,
            AlertKind::Part,
            'x|right',
            why: 'test',
            begunAt: $now,
            receivedAt: $now,
            ownerId: $owner->id,
        ));
    }

    /** @return list<string> */
    private function familiesOnToday(): array
    {
        $this->browser->request('GET', '/');
        preg_match_all('/Odalys (\w+)<\/a>/', $this->shown(), $found);

        return $found[1];
    }
}
