<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Role;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Core\Setting\SettingValues;
use HandGarden\Planning\ApproachChoice;
use HandGarden\Planning\PlacementOverride;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Planning\Suspension;
use HandGarden\Planning\WeekTimes;

/** Two people open the same form. The second to keep it sees what the first one kept, and loses nothing typed. */
final class TwoWritersTest extends OdalysTestCase
{
    public function testWeekTimesNobodyHasKeptYet(): void
    {
        $mine = $this->form('/week');
        $this->keptByAnother('/week', ['helper_hours' => 'Mon-Fri 8:00-9:00'] + $this->form('/week'));
        $this->second('/week', ['helper_hours' => 'Sat 10:00-12:00'] + $mine);

        self::assertInputValueSame('helper_hours', 'Sat 10:00-12:00', 'what was typed');
        self::assertStringContainsString('Mon-Fri 8:00-9:00', $this->shown(), 'what is kept');
        self::assertSame('Mon-Fri 8:00-9:00', $this->hours());
        $this->again('/week', ['helper_hours' => 'Sat 10:00-12:00']);
        self::assertSame('Sat 10:00-12:00', $this->hours());
    }

    public function testAFirstRoutine(): void
    {
        $mine = $this->form('/routine?kind=clinic', 'form[action$="/suggest"]');
        $this->keptByAnother(
            '/routine/suggest',
            $this->form('/routine?kind=clinic', 'form[action$="/suggest"]'),
        );
        $this->sent($this->path('/routine/suggest'), $mine);
        $this->browser->followRedirect();

        self::assertStringContainsString('Somebody else changed this routine meanwhile', $this->shown());
        self::assertCount(1, $this->entities->getRepository(SavedRoutine::class)->findAll());
    }

    public function testTheSameReadingCorrectedByBoth(): void
    {
        $readings = $this->entities->getRepository(RecordedReading::class);
        $wrong = $readings->findOneBy(['code' => 'wrist_extension']);
        self::assertNotNull($wrong);
        $page = '/readings/'.$wrong->id;
        $mine = $this->form($page);
        $before = $readings->count([]);
        $this->keptByAnother(
            $page,
            ['value' => '15', 'reason' => 'Read from the wrong arm.'] + $this->form($page),
        );
        $this->sent($this->path($page), ['value' => '18', 'reason' => 'A slip of the pen.'] + $mine);

        $this->assertStatus(422);
        self::assertInputValueSame('value', '18', 'nothing typed is lost');
        self::assertStringContainsString('corrected already', $this->shown());
        self::assertSame($before + 1, $readings->count([]));
    }

    public function testScreening(): void
    {
        $mine = $this->form('/screening');
        $asked = array_keys(array_filter($mine, static fn (mixed $v): bool => 'no' === $v))[0];
        $danger = array_keys(array_filter($mine, static fn (mixed $v): bool => 'no' === $v))[1];
        $this->keptByAnother('/screening', [$asked => 'yes'] + $this->form('/screening'));
        $this->second('/screening', ['asked_again' => '1', $danger => 'yes'] + $mine);

        self::assertStringContainsString('You: no. Kept meanwhile: yes.', $this->shown());
        self::assertSame('yes', $this->newestAnswer($asked), 'the caution stands');
        self::assertSame('yes', $this->newestAnswer($danger), 'and a new one does not wait');
        $this->again('/screening', [$asked => 'no']);
        self::assertSame('no', $this->newestAnswer($asked), 'looked at, and answered once more');
    }

    public function testFiguresOfTheClinic(): void
    {
        $lead = $this->staff($this->quayside(), Role::Lead);
        $this->signIn($lead);
        $page = '/clinic/settings/sitting';
        $mine = $this->formAt($page);
        $this->sent($page, ['clinicMinutes' => '40', 'sure' => '1'] + $this->formAt($page));
        $this->assertStatus(303);
        $this->sent($page, ['clinicMinutes' => '25', 'sure' => '1'] + $mine);

        $this->assertStatus(409);
        self::assertInputValueSame('clinicMinutes', '25');
        self::assertStringContainsString('Kept meanwhile: 40', $this->shown());
        $minutes = function (): int {
            $this->entities->clear();
            $clinic = $this->entities->getRepository(Clinic::class)->findAll()[0];

            return (new SettingValues($clinic->settings))->sitting()->clinicMinutes;
        };
        self::assertSame(40, $minutes());
        $this->sent($page, ['clinicMinutes' => '25', 'sure' => '1'] + $this->fieldsOf('main form'));
        self::assertSame(25, $minutes());
    }

    public function testAnotherRung(): void
    {
        $mine = ['rung' => 'finger-space-opener'] + $this->form('/placement', 'form[action$="/placement"]');
        $chosen = ['note' => 'He did it yesterday, three times.'] + $mine;
        $this->keptByAnother('/placement', ['note' => 'Not before the splint is there.'] + $mine);
        $this->sent($this->path('/placement'), $chosen);
        $this->browser->followRedirect();

        self::assertStringContainsString('Not before the splint is there.', $this->shown());
        self::assertStringContainsString(
            'He did it yesterday, three times.',
            $this->shown(),
            'nothing typed is lost',
        );
        self::assertCount(1, $this->entities->getRepository(PlacementOverride::class)->findAll());
    }

    public function testAnApproach(): void
    {
        $mine = $this->form('/approaches', 'ol.rows form');
        $this->keptByAnother('/approaches', ['note' => 'The family asks for it.'] + $mine);
        $this->second('/approaches', ['note' => 'She tires.'] + $mine);

        self::assertInputValueSame('note', 'She tires.');
        self::assertStringContainsString('The family asks for it.', $this->shown());
        self::assertCount(
            1,
            $this->entities->getRepository(ApproachChoice::class)->findBy(['withdrawnAt' => null]),
        );
        $this->again('/approaches', ['note' => 'She tires.'], 'ol.rows form');
        $standing = $this->entities->getRepository(ApproachChoice::class)->findBy(['withdrawnAt' => null]);
        self::assertSame(
            ['She tires.'],
            array_map(static fn (ApproachChoice $c): string => $c->note, $standing),
        );
    }

    public function testBothArchiveAndNobodyBringsBack(): void
    {
        $mine = $this->form('/edit', 'form[action$="/archive"]');
        $this->keptByAnother('/archive', $this->form('/edit', 'form[action$="/archive"]'));
        $this->sent($this->path('/archive'), $mine);

        $this->assertStatus(303);
        self::assertTrue($this->fresh($this->odalys)->isArchived());
    }

    public function testReopenedByTheOtherOne(): void
    {
        $suspension = $this->keep(new Suspension(
            $this->odalys->clinicId,
            $this->odalys->id,
            '*',
            'Dizzy.',
            at: new \DateTimeImmutable(),
        ));
        $mine = $this->form('/decisions', 'form[action$="'.$suspension->id.'"]');
        $path = '/suspensions/'.$suspension->id;
        $this->keptByAnother($path, ['note' => 'Seen by the physician.'] + $mine);
        $this->sent($this->path($path), ['note' => 'Well again.'] + $mine);
        $this->browser->followRedirect();

        self::assertStringContainsString('reopened already', $this->shown());
        self::assertStringContainsString('Well again.', $this->shown());
        self::assertSame('Seen by the physician.', $this->fresh($suspension)->reopenedNote);
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.$page;
    }

    /** @return array<string, mixed> what the form of a page would send */
    private function form(string $page, string $form = 'main form'): array
    {
        return $this->formAt($this->path($page), $form);
    }

    /** @return array<string, mixed> */
    private function formAt(string $address, string $form = 'main form'): array
    {
        $this->browser->request('GET', $address);
        $this->assertStatus(200);

        return $this->fieldsOf($form);
    }

    /** @return array<string, mixed> */
    private function fieldsOf(string $form): array
    {
        $fields = [];
        foreach ($this->browser->getCrawler()->filter(
            $form,
        )->first()->form()->getPhpValues() as $name => $value) {
            $fields[(string) $name] = $value;
        }

        return $fields;
    }

    /** @param array<string, mixed> $fields */
    private function sent(string $address, array $fields): void
    {
        $this->browser->request('POST', $address, $fields);
    }

    /** @param array<string, mixed> $fields */
    private function keptByAnother(string $page, array $fields): void
    {
        $this->sent($this->path($page), $fields);
        $this->assertStatus(303);
    }

    /** @param array<string, mixed> $fields */
    private function second(string $page, array $fields): void
    {
        $this->sent($this->path($page), $fields);
        $this->assertStatus(409);
        self::assertStringContainsString('Somebody else', $this->shown());
    }

    /** @param array<string, mixed> $typed sent once more from the page that shows both */
    private function again(string $page, array $typed, string $form = 'main form'): void
    {
        $this->sent($this->path($page), $typed + $this->fieldsOf($form));
        $this->assertStatus(303);
        $this->entities->clear();
    }

    private function hours(): string
    {
        $this->entities->clear();

        return $this->entities->getRepository(WeekTimes::class)->findOneBy([])->helperHours ?? '';
    }

    private function newestAnswer(string $question): string
    {
        $this->entities->clear();
        $newest = $this->entities->getRepository(ScreeningAnswer::class)->findBy(
            ['questionId' => $question],
            ['at' => 'DESC', 'id' => 'DESC'],
        );

        return $newest[0]->answer->value ?? '';
    }
}
