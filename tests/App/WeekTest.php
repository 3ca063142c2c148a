<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Assessment\Recording;
use HandGarden\Assessment\RecordingKind;
use HandGarden\Assessment\RecordingRepository;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\WeekTimes;
use Symfony\Component\DomCrawler\Crawler;

final class WeekTest extends OdalysTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
    }

    public function testTheWeekLeavesTheCalendarFreeAndGoesOutAsOne(): void
    {
        $this->handInCalendar(
            "BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//y//EN\nBEGIN:VEVENT\nUID:1\n"
                ."DTSTAMP:20250101T000000Z\nDTSTART;VALUE=DATE:20261208\n"
                ."RRULE:FREQ=WEEKLY;BYDAY=TU\nEND:VEVENT\nEND:VCALENDAR\n",
        );
        $this->browser->request('GET', $this->path('?of=2026-12-10'));

        self::assertSelectorTextContains('h2', 'Week of 7 December 2026');
        self::assertSelectorTextContains(
            '.week section:nth-child(2)',
            'No free time that is long enough.',
        );
        self::assertSelectorTextContains('.week section:nth-child(1)', '7:00');
        $this->browser->request('GET', $this->path('.ics?of=2026-12-10'));
        $file = $this->page();
        self::assertStringContainsString('SUMMARY:Hand exercises', $file);
        self::assertStringNotContainsString('Brandt', $file, 'the file holds nothing of the person');
        self::assertStringNotContainsString('20261208T', $file);
    }

    public function testHelperHoursThatCannotBeReadAreRefusedInPlace(): void
    {
        $this->post($this->path(''), ['helper_hours' => 'mornings']);
        $this->assertStatus(422);
        self::assertSelectorTextContains('.wrong', '‘mornings’ is not like Mon-Fri 8:00-12:00.');
        self::assertSelectorTextContains('[aria-current="page"]', 'Week');
        self::assertSelectorExists('input[name="helper_hours"][value="mornings"]');
        $this->post($this->path(''), ['helper_hours' => 'Mon-Sat 8:00-12:00']);
        self::assertResponseRedirects();
        self::assertSame(
            'Mon-Sat 8:00-12:00',
            $this->entities->getRepository(WeekTimes::class)->findOneBy([])?->helperHours,
        );
    }

    public function testTheHandoutIsAFileThatNeedsNothingElse(): void
    {
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/handout.pdf');

        self::assertResponseHeaderSame('Content-Type', 'application/pdf');
        self::assertStringStartsWith('%PDF-', $this->page());
        self::assertGreaterThan(2, preg_match_all('#/Type /Page\b#', $this->page()));
        self::assertStringNotContainsString('/URI', $this->page());
        self::assertStringContainsString('AtkinsonHyperlegibleNext', $this->page());
        self::assertStringContainsString('/FontFile2', $this->page(), 'it is in the file');
        self::assertStringNotContainsString('DejaVu', $this->page());
    }

    public function testANameWithALetterThatTheTypefaceLacksIsSetInOneThatHasIt(): void
    {
        $client = $this->fresh($this->odalys);
        $client->familyName = 'Szymański';
        $this->entities->flush();
        $this->browser->request('GET', '/clients/'.$client->id.'/handout.pdf');

        self::assertStringContainsString('DejaVu', $this->page());
        self::assertStringNotContainsString('AtkinsonHyperlegible', $this->page());
    }

    public function testThreeOrFourExercisesStandOnAPage(): void
    {
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/routine');
        $items = $this->browser->getCrawler()->filter('#items > li')->count();
        self::assertGreaterThan(6, $items);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/handout.pdf');
        $pages = preg_match_all('#/Type /Page\b#', $this->page());

        self::assertLessThanOrEqual(
            2 + (int) ceil($items / 2.5),
            $pages,
            'at a glance, the week, and the exercises',
        );
    }

    public function testAFileThatIsNoCalendarChangesNothing(): void
    {
        $this->handInCalendar('Dentist on Monday');
        $this->assertStatus(422);
        self::assertCount(0, $this->entities->getRepository(WeekTimes::class)->findAll());
    }

    public function testWhatDoesNotFitIntoADayIsNamedAndTheDayStays(): void
    {
        $this->handInCalendar(
            "BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//y//EN\nBEGIN:VEVENT\nUID:1\n"
                ."DTSTAMP:20250101T000000Z\nDTSTART;VALUE=DATE:20261207\nRRULE:FREQ=DAILY\n"
                ."END:VEVENT\nEND:VCALENDAR\n",
        );
        $crawler = $this->browser->request('GET', $this->path('?of=2026-12-10'));

        self::assertStringContainsString(
            '0 of 5 training days have room for the whole sitting',
            $this->shown(),
        );
        self::assertCount(7, $crawler->filter('.week > section'));
        foreach ($crawler->filter('.week > section') as $day) {
            self::assertStringContainsString('No free time that is long enough.', $day->textContent);
        }
        self::assertStringNotContainsString('week.', $crawler->filter('main')->text(), 'no code is shown');
    }

    public function testManySmallSetsStandInTheWeekAndInTheCalendarFile(): void
    {
        $this->post($this->path(''), ['sittings' => '9']);
        $this->assertStatus(422);
        self::assertSelectorTextContains('.wrong', '9 sittings a day: 1 to 5.');

        $this->post($this->path(''), ['sittings' => '3']);
        self::assertResponseRedirects();
        $this->browser->request('GET', $this->path('?of=2026-12-10'));
        self::assertMatchesRegularExpression(
            '/\d+:\d\d · \d+:\d\d · \d+:\d\d/',
            $this->browser->getCrawler()->filter('.week section')->first()->text(),
        );
        $this->browser->request('GET', $this->path('.ics?of=2026-12-10'));
        self::assertSame(3, substr_count($this->page(), 'DTSTART;TZID=Europe/Tallinn:20261207T')
            + substr_count($this->page(), 'DTSTART:20261207T'));
    }

    public function testTwoListsTakeTurnsUntilOneIsMadeOfThem(): void
    {
        $routine = '/clients/'.$this->odalys->id.'/routine';
        $this->post($routine, [
            'kind' => 'other',
            'do' => 'add',
            'rung' => 'palm-down-flattening-rest',
            'hands' => 'right',
            'note' => 'on other days',
            'version' => '',
        ]);
        $week = $this->browser->request('GET', $this->path(''));
        $chips = $week->filter('.week .chip')->each(static fn (Crawler $c): string => $c->text());
        self::assertContains('A day', $chips);
        self::assertContains('B day', $chips);

        $today = (int) (new \DateTimeImmutable('today', new \DateTimeZone($this->odalys->zone)))->format(
            'N',
        );
        $isB = str_contains($week->filter('.week section')->eq($today - 1)->text(), 'B day');
        $start = $this->browser->request('GET', '/clients/'.$this->odalys->id.'/sittings/new');
        self::assertSame(
            $isB ? 'other' : 'home',
            $start->filter('input[name="kind"][checked]')->attr('value'),
        );

        $other = $this->service(PlanRepository::class)->routine($this->odalys, RoutineKind::Other);
        $this->post(
            $routine,
            ['kind' => 'other', 'do' => 'clear', 'version' => (string) ($other->version ?? '')],
        );
        self::assertSelectorNotExists('.week .chip[title]');
        $this->browser->request('GET', $this->path(''));
        self::assertSelectorNotExists('.week .chip[title]');
    }

    public function testABlockIsBegunWithTheSampleThatShowsWhatHasChanged(): void
    {
        $path = '/clients/'.$this->odalys->id.'/block';
        $today = (new \DateTimeImmutable('today', new \DateTimeZone($this->odalys->zone)))->format('Y-m-d');
        $this->post($path, ['begins' => $today, 'weeks' => '2', 'sample' => 'dance']);
        $this->browser->followRedirect();
        self::assertStringContainsString('Choose the sample', $this->page());
        $this->post($path, ['begins' => $today, 'weeks' => '52', 'sample' => 'spiral']);
        $this->browser->followRedirect();
        self::assertStringContainsString('364 days: a block has 7 to 42.', $this->page());
        self::assertStringContainsString('None was begun', $this->page());

        $this->post($path, ['begins' => $today, 'weeks' => '2', 'sample' => 'spiral']);
        $this->browser->followRedirect();
        $block = $this->browser->getCrawler()->filter('section[aria-labelledby="h-block"]')->text();
        self::assertStringContainsString('day 1 of 14. Sample: spiral.', $block);
        self::assertStringContainsString('Before: due now', $block);
        self::assertStringContainsString('After: not due yet', $block);

        $this->service(RecordingRepository::class)->add(new Recording(
            $this->odalys->clinicId,
            $this->odalys->id,
            RecordingKind::Ink,
            InkTask::Spiral->value,
            side: Side::Right,
            raw: '{}',
            found: [],
            series: '',
            onDay: new \DateTimeImmutable($today),
            at: new \DateTimeImmutable(),
            byStaffId: $this->therapist->id,
        ));
        $week = $this->browser->request('GET', $this->path(''));
        self::assertStringContainsString(
            'Before: taken',
            $week->filter('section[aria-labelledby="h-block"]')->text(),
        );
    }

    public function testASecondListNeedsAFirst(): void
    {
        $home = $this->service(PlanRepository::class)->routine($this->odalys);
        self::assertNotNull($home);
        $this->entities->remove($home);
        $this->entities->flush();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', ['kind' => 'other']);
        $this->browser->followRedirect();

        self::assertStringContainsString('First make the list of the A days', $this->page());
    }

    public function testAnAssistantReadsTheWeekAndChangesNothing(): void
    {
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->browser->request('GET', $this->path(''));
        $this->assertStatus(200);
        $this->post($this->path(''), ['helper_hours' => 'Mon-Sat 8:00-12:00']);

        $this->assertStatus(403);
        self::assertCount(0, $this->entities->getRepository(WeekTimes::class)->findAll());
    }

    private function path(string $rest): string
    {
        return '/clients/'.$this->odalys->id.'/week'.$rest;
    }
}
