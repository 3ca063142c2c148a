<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;

/** Whatever somebody hands in as a calendar: the week can be opened afterwards, and the file can be forgotten. */
final class CalendarFilesTest extends OdalysTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $start = 'DTSTART:20261130T090000Z';
        $events = [
            'a day that never comes' => "$start\nRRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30",
            'every second' => "$start\nRRULE:FREQ=SECONDLY",
            'every minute for ever' => "$start\nRRULE:FREQ=MINUTELY",
            'daily since long ago' => "DTSTART:19700101T090000Z\nDURATION:PT1H\nRRULE:FREQ=DAILY",
            'hourly since long ago' => "DTSTART:19700101T090000Z\nDURATION:PT1H\nRRULE:FREQ=HOURLY",
            'ended long ago' => "DTSTART:19990104T090000Z\nRRULE:FREQ=WEEKLY;UNTIL=20010101T000000Z",
            'ended before it began' => "$start\nRRULE:FREQ=DAILY;UNTIL=20200101T000000Z",
            'every one taken out' => "$start\nRRULE:FREQ=DAILY;COUNT=1\nEXDATE:20261130T090000Z",
            'no start' => 'SUMMARY:When',
            'a start in words' => 'DTSTART:next Monday',
            'ends before it begins' => "$start\nDTEND:20261129T090000Z",
            'lasts a century' => "DTSTART:20200101T000000Z\nDTEND:21200101T000000Z",
            'a length in words' => "$start\nDURATION:an hour",
            'a step of none' => "$start\nRRULE:FREQ=DAILY;INTERVAL=0",
            'a rhythm that is none' => "$start\nRRULE:FREQ=NEVER",
            'a rule in words' => "$start\nRRULE:now and then",
            'a weekday that is none' => "$start\nRRULE:FREQ=WEEKLY;BYDAY=XX",
            'a day of the month that is none' => "$start\nRRULE:FREQ=MONTHLY;BYMONTHDAY=77",
            'the 400th of five' => "$start\nRRULE:FREQ=MONTHLY;BYDAY=MO;BYSETPOS=400",
            'a zone nobody knows' => 'DTSTART;TZID=Nowhere/Atlantis:20261130T090000',
            'a year of none' => 'DTSTART:00000101T000000Z',
            'the last year' => "DTSTART:99991231T230000Z\nRRULE:FREQ=DAILY",
            'extra days in words' => "$start\nRDATE:soon",
            'a change of nothing' => "$start\nRECURRENCE-ID:20261130T090000Z",
            'a thousand years in steps' => "$start\nRRULE:FREQ=DAILY;COUNT=2147483647",
        ];
        foreach ($events as $name => $event) {
            yield $name => [self::calendar(
                "BEGIN:VEVENT\nUID:1\nDTSTAMP:20250101T000000Z\n$event\nEND:VEVENT",
            )];
        }
        yield 'no events' => [self::calendar('')];
        yield 'NUL bytes' => [self::calendar("BEGIN:VEVENT\nUID:1\n$start\nSUMMARY:a\0b\nEND:VEVENT")];
        yield 'another encoding' => [self::calendar(
            "BEGIN:VEVENT\nUID:1\n$start\nSUMMARY:Gr\xfc\xdfe\nEND:VEVENT",
        )];
        yield 'cut off' => ["BEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VEVENT\n$start"];
    }

    #[DataProvider('files')]
    public function testTheWeekOpensAfterwardsAndTheFileIsForgotten(string $file): void
    {
        $this->handInCalendar($file);
        $status = $this->browser->getResponse()->getStatusCode();
        self::assertContains($status, [303, 422]);
        if (422 === $status) {
            self::assertMatchesRegularExpression(
                '/^The calendar [^.]+\. Nothing was changed\.$/',
                $this->browser->getCrawler()->filter('.wrong')->text(),
            );
        }
        $this->browser->request('GET', $this->path(''));
        $this->assertStatus(200);
        $this->browser->request('GET', $this->path('.ics'));
        $this->assertStatus(200);
        $this->post($this->path(''), ['helper_hours' => '', 'forget' => '1']);
        $this->assertStatus(303);
    }

    public function testWhatIsOldAndUsualIsTaken(): void
    {
        $monday = new \DateTimeImmutable('monday next week');
        $this->handInCalendar(self::calendar(
            "BEGIN:VEVENT\nUID:1\nDTSTAMP:20250101T000000Z\nDTSTART;VALUE=DATE:19991129\nRRULE:FREQ=DAILY\nEND:VEVENT",
        ));
        $this->assertStatus(303);
        $this->browser->request('GET', $this->path('?of='.$monday->format('Y-m-d')));
        self::assertSelectorTextContains('.week section:nth-child(1)', 'No free time that is long enough.');
    }

    public function testOnlyBusyTimesAreKept(): void
    {
        $start = (new \DateTimeImmutable('tomorrow 9:00'))->format('Ymd\THis');
        $this->handInCalendar(self::calendar(
            "BEGIN:VEVENT\nUID:1\nDTSTAMP:20250101T000000Z\nDTSTART:{$start}Z\nDURATION:PT1H\n"
                ."SUMMARY:Debt counselling\nEND:VEVENT",
        ));
        $this->assertStatus(303);
        $rows = $this->entities->getConnection()->fetchAllAssociative('SELECT * FROM week_times');
        self::assertCount(1, $rows);
        self::assertStringNotContainsString('Debt', json_encode($rows, \JSON_THROW_ON_ERROR));
    }

    public function testTheWeekDefinesTheTimeZoneItNames(): void
    {
        $this->fresh($this->odalys)->zone = 'Europe/Tallinn';
        $this->entities->flush();
        $this->browser->request('GET', $this->path('.ics?of=2026-03-23'));
        $file = str_replace("\r\n", "\n", $this->page());

        self::assertStringContainsString('DTSTART;TZID=Europe/Tallinn:', $file);
        self::assertStringContainsString("BEGIN:VTIMEZONE\nTZID:Europe/Tallinn\nBEGIN:STANDARD\n", $file);
        self::assertStringContainsString(
            "BEGIN:DAYLIGHT\nDTSTART:20260329T030000\nTZOFFSETFROM:+0200\nTZOFFSETTO:+0300\n",
            $file,
            'summer time begins on the Sunday of that week',
        );
    }

    private static function calendar(string $events): string
    {
        return "BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//y//EN\n$events\nEND:VCALENDAR\n";
    }

    private function path(string $rest): string
    {
        return '/clients/'.$this->odalys->id.'/week'.$rest;
    }
}
