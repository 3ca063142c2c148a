<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\AuditLine;
use HandGarden\Account\ClinicSettings;
use HandGarden\Account\Role;
use HandGarden\Account\SettingChange;
use HandGarden\Core\Setting\SettingGroup;
use HandGarden\Core\Setting\SettingList;
use HandGarden\Planning\Plan;
use HandGarden\Planning\Suspension;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Contracts\Translation\TranslatorInterface;

/** A lead sets the figures of the clinic, and what reads them follows. */
final class SettingsTest extends OdalysTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn($this->staff($this->quayside(), Role::Lead));
    }

    /** @return iterable<string, array{SettingGroup}> */
    public static function pages(): iterable
    {
        foreach (SettingGroup::cases() as $group) {
            yield $group->value => [$group];
        }
    }

    #[DataProvider('pages')]
    public function testAGroupShowsEachFigureWithItsWordsUnitAndBounds(SettingGroup $group): void
    {
        $page = $this->browser->request('GET', '/clinic/settings/'.$group->value);
        $this->assertStatus(200);
        $words = $this->service(TranslatorInterface::class);
        foreach (SettingList::of($group) as $setting) {
            self::assertCount(1, $page->filter('input[name="'.$setting->name.'"]'), $setting->key());
            foreach (['setting.'.$setting->key(), 'setting-unit.'.$setting->unit->value] as $code) {
                self::assertNotSame($code, $words->trans($code));
            }
        }
    }

    public function testAChangeSaysWhomItTouchesIsKeptWithWhoAndWhenAndGoesBack(): void
    {
        $this->set('ages', ['screeningDays' => '60'], isSure: false);
        self::assertStringContainsString('60 in place of 90', $this->shown());
        self::assertStringContainsString('It touches 1 client: Odalys Brandt', $this->shown());
        self::assertSame(90, $this->settings()->screeningDays);
        $this->set('ages', ['screeningDays' => '60']);
        self::assertSame(60, $this->settings()->screeningDays);
        $this->browser->followRedirect();
        self::assertMatchesRegularExpression('/Sefa Ouland, \d+ \w+ \d{4}/', $this->shown());

        $this->set('ages', ['default' => 'screeningDays']);
        self::assertSame(90, $this->settings()->screeningDays);
        $changes = $this->entities->getRepository(SettingChange::class)->findBy(
            [],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
        self::assertSame(
            [60.0, null],
            array_map(static fn (SettingChange $c): ?float => $c->value, $changes),
        );
        self::assertCount(
            2,
            $this->entities->getRepository(AuditLine::class)->findBy(['action' => 'set ages.screeningDays']),
        );
    }

    public function testWhatIsNotSafeOrOutOfOrderIsSaidInPlace(): void
    {
        $this->set('progress', ['painSuspends' => '9', 'breakDays' => '6', 'windowDays' => 'soon']);
        $this->assertStatus(422);
        self::assertSelectorTextContains('#p-painSuspends', 'A number from 4 to 7.');
        self::assertSelectorTextContains('#p-windowDays', 'A number from 7 to 28.');
        self::assertInputValueSame('windowDays', 'soon');
        self::assertInputValueSame('breakDays', '6');
        $this->set('findings', ['weakOpeningPercent' => '60', 'freeOpeningPercent' => '50']);

        self::assertStringContainsString('is not more than', $this->shown());
    }

    public function testAThirdThatIsShownInPercentStaysAThird(): void
    {
        $this->set('progress', ['quietDays' => '3']);

        $values = $this->service(ClinicSettings::class)->of($this->odalys->clinicId);
        self::assertSame(1 / 3, $values->progress()->compensationShare);
        self::assertSame(3, $values->progress()->quietDays);
    }

    /** @return iterable<string, array{int, bool}> */
    public static function pains(): iterable
    {
        yield 'at the usual figure 5 goes on' => [7, false];
        yield 'where the clinic says 5 it stops' => [5, true];
    }

    #[DataProvider('pains')]
    public function testTheFigureForPainReachesTheSitting(int $figure, bool $isStopped): void
    {
        $this->set('progress', ['painSuspends' => (string) $figure]);
        $this->signIn($this->therapist);
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $sitting = $this->sitting($this->odalys, $this->therapist);
        $line = ['id' => '018f3a52-0000-4000-8000-00000000000a', 'item' => 0, 'outcome' => 'done', 'pain_after' => 5];
        self::assertSame(200, $this->postJson('/sittings/'.$sitting->id.'/log', $line));

        self::assertSame(
            $isStopped,
            [] !== $this->entities->getRepository(Suspension::class)->findBy(
                ['clientId' => $this->odalys->id],
            ),
        );
    }

    public function testWhatTheClinicGivesAtMostHoldsInEveryRoutine(): void
    {
        $this->set('doses', ['holdSeconds' => '5', 'repetitions' => '6']);
        $this->signIn($this->therapist);
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->entities->clear();
        $items = $this->service(Plan::class)->items($this->fresh($this->odalys));

        self::assertNotSame([], $items);
        foreach ($items as $item) {
            $range = $item->rung->dosing->range;
            self::assertLessThanOrEqual(max(5, $range->holdSeconds[0]), $item->dose->holdSeconds);
            self::assertLessThanOrEqual(max(6, $range->repetitions[0]), $item->dose->repetitions);
        }
    }

    public function testHowLongAnswersCountReachesTheScreening(): void
    {
        $this->entities->getConnection()->executeStatement(
            "UPDATE screening_answer SET asked_on = asked_on - INTERVAL '45 days'",
        );
        $this->changed($this->odalys);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/placement');
        $before = $this->shown();
        $this->set('ages', ['screeningDays' => '30']);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/placement');

        self::assertStringNotContainsString('not asked', $before);
        self::assertStringContainsString('not asked', $this->shown());
    }

    public function testHoursAndPhonesMakeTheSentenceOfWhomToCall(): void
    {
        $open = new \DateTimeImmutable('today', new \DateTimeZone('UTC'));
        $form = [
            'name' => 'Quayside Hand Clinic',
            'zone' => 'UTC',
            'emergencyNumber' => '112',
            'phone' => '555 0101',
            'outOfHoursPhone' => '555 0199',
            'paperText' => 'Bring this sheet along.',
            'holidays' => $open->modify('+2 days')->format('Y-m-d').', never',
            '_again' => 'secret',
        ];
        foreach (range(1, 7) as $day) {
            $form += ['from'.$day => '00:00', 'to'.$day => '23:59'];
        }
        $this->post('/clinic', $form, '/clinic');
        $this->assertStatus(422);
        self::assertStringContainsString('never&quot; is no day', $this->page());
        $this->post('/clinic', ['holidays' => $open->modify('+2 days')->format('Y-m-d')] + $form, '/clinic');
        $this->browser->followRedirect();

        self::assertStringContainsString(
            'Call the clinic, 555 0101, Mon to Sun 00:00 to 23:59. Outside these hours: 555 0199. The clinic is closed',
            $this->shown(),
        );
        $this->signIn($this->therapist);
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/routine/print');
        self::assertStringContainsString('Bring this sheet along.', $this->shown());
        self::assertStringContainsString('The clinic answers at 555 0101, Mon to Sun', $this->shown());
    }

    /** @param array<string, string> $typed */
    private function set(string $group, array $typed, bool $isSure = true): void
    {
        $this->post('/clinic/settings/'.$group, $typed + ($isSure ? ['sure' => '1'] : []));
    }

    private function settings(): \HandGarden\Core\Placement\Ages
    {
        $this->entities->clear();
        $settings = $this->service(ClinicSettings::class);
        $settings->reset();

        return $settings->of($this->odalys->clinicId)->thresholds()->ages;
    }
}
