<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Assessment\MeasureDraft;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;

final class VisitTest extends OdalysTestCase
{
    public function testWhatIsTypedSurvivesOnTheServerUntilItIsKept(): void
    {
        $this->post($this->path('/measure/figures'), ['m' => ['grip_kg:right:-:-' => '7 8 9']]);
        $this->assertStatus(200);
        $this->browser->request('GET', $this->path('/measure?set=dexterity'));

        self::assertSelectorExists('input[name="m[grip_kg:right:-:-]"][value="7 8 9"]');
        $this->post($this->path('/measure?set=dexterity'), ['m' => ['pegs_s:right:-:-' => '41']]);
        $readings = $this->service(ReadingRepository::class)->for($this->odalys);
        self::assertSame(
            8.0,
            $readings->newest('grip_kg', Side::Right)?->value,
            'three trials: the mean',
        );
        self::assertSame([7.0, 8.0, 9.0], $readings->newest('grip_kg', Side::Right)->taken?->trials);
        self::assertSame(41.0, $readings->newest('pegs_s', Side::Right)?->value);
        $this->entities->clear();
        self::assertSame(
            [],
            $this->entities->getRepository(MeasureDraft::class)->findOneBy([])->typed ?? [],
        );
    }

    public function testWhatAPageSentJustBeforeItWasKeptDoesNotComeBack(): void
    {
        $shown = (string) ((int) (microtime(true) * 1000) - 60_000);
        $form = ['seen' => $shown, 'm' => ['grip_kg:right:-:-' => '7']];
        $this->post($this->path('/measure/figures'), $form);
        $this->post($this->path('/measure?set=dexterity'), ['m' => ['grip_kg:right:-:-' => '7']]);
        $this->post($this->path('/measure/figures'), $form); // overtaken on its way
        $this->entities->clear();
        self::assertSame(
            [],
            $this->entities->getRepository(MeasureDraft::class)->findOneBy([])?->typed,
        );

        $this->post(
            $this->path('/measure/figures'),
            ['seen' => (string) ((int) (microtime(
                true,
            ) * 1000) + 2000), 'm' => ['grip_kg:right:-:-' => '9']],
        );
        $this->entities->clear();
        self::assertSame(
            ['m' => ['grip_kg:right:-:-' => '9']],
            $this->entities->getRepository(MeasureDraft::class)->findOneBy([])?->typed,
            'a page shown afterwards writes as ever',
        );
    }

    public function testADraftBelongsToOnePerson(): void
    {
        $this->post($this->path('/measure/figures'), ['m' => ['grip_kg:right:-:-' => '7']]);
        $clinic = $this->quayside();
        $this->signIn($this->staff($clinic));
        $this->browser->request('GET', $this->path('/measure?set=dexterity'));

        self::assertSelectorNotExists('input[name="m[grip_kg:right:-:-]"][value="7"]');
    }

    public function testKeptReadingsAreTakenBackOnceAndTypedAgain(): void
    {
        $this->post(
            $this->path('/measure?set=motion'),
            ['m' => ['wrist_extension:right:active:-' => '-5']],
        );
        $this->browser->followRedirect();
        $undo = $this->browser->getCrawler()->filter('form[action*="/take-back/"]');
        self::assertCount(1, $undo);
        $this->post((string) $undo->attr('action'), []);
        $this->browser->followRedirect();

        self::assertSelectorExists('input[name="m[wrist_extension:right:active:-]"][value="-5"]');
        self::assertSame(
            -10.0,
            $this
                ->service(ReadingRepository::class)
                ->for($this->odalys)
                ->newest('wrist_extension', Side::Right, Mode::Active)?->value,
            'what was known before counts again',
        );
        self::assertCount(
            2,
            $this->entities->getRepository(RecordedReading::class)->findBy(
                ['code' => 'wrist_extension', 'side' => Side::Right, 'mode' => Mode::Active],
            ),
            'nothing is deleted',
        );
    }

    public function testASignedVisitTakesNothingMore(): void
    {
        $visit = $this->entities->getRepository(Visit::class)->findOneBy(
            ['clientId' => $this->odalys->id],
        );
        self::assertNotNull($visit);
        $this->browser->request('GET', $this->path('/visits/'.$visit->id));
        self::assertSelectorTextContains('table', 'Wrist up (extension), active');
        $this->post($this->path('/visits/'.$visit->id.'/sign'), []);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('main', 'Signed by Sefa Ouland');
        $before = \count(
            $this->entities->getRepository(RecordedReading::class)->findBy(['visitId' => $visit->id]),
        );
        $this->post($this->path('/measure'), ['m' => ['grip_kg:right:-:-' => '7']]);

        self::assertCount(
            $before,
            $this->entities->getRepository(RecordedReading::class)->findBy(['visitId' => $visit->id]),
        );
        self::assertCount(2, $this->entities->getRepository(Visit::class)->findAll());
        $this->post($this->path('/measure/take-back/'.$visit->id.'/'.$visit->at->getTimestamp()), []);
        self::assertNull(
            $this->service(ReadingRepository::class)->ofVisit($this->fresh($visit))[0]->withdrawnAt,
        );
    }

    public function testAReadingThatIsCorrectedAfterSigningIsAnAddendumAndTheVisitStaysAsItWasSigned(): void
    {
        $reading = $this->entities->getRepository(RecordedReading::class)->findOneBy(
            ['clientId' => $this->odalys->id, 'code' => 'wrist_extension'],
        );
        self::assertNotNull($reading);
        $page = '/visits/'.$reading->visitId;
        $this->post($this->path('/readings/'.$reading->id), ['value' => '11', 'reason' => 'Typing error']);
        $this->browser->request('GET', $this->path($page));
        self::assertStringNotContainsString('Added after signing', $this->shown());
        $this->post($this->path($page.'/sign'), []);
        $signed = $this->entities->getRepository(RecordedReading::class)->findOneBy(
            ['reason' => 'Typing error'],
        );
        self::assertNotNull($signed);
        self::assertSame($reading->visitId, $signed->visitId);
        $this->signIn($this->staff($this->quayside()));
        foreach ([[$signed->id, '22'], ['', '23']] as [$id, $value]) {
            $newest = $this->entities->getRepository(RecordedReading::class)->findOneBy(['number' => 22.0]);
            $this->post(
                $this->path('/readings/'.('' === $id ? $newest?->id : $id)),
                ['value' => $value, 'reason' => 'Read off wrongly'],
            );
            $this->assertStatus(303);
        }
        $this->browser->request('GET', $this->path($page));

        self::assertStringContainsString('Added after signing', $this->shown());
        self::assertStringContainsString('right: 11° was corrected to 23° by Sefa Ouland', $this->shown());
    }

    public function testAnAssistantReadsFindingsAndVisitsButSignsNothing(): void
    {
        $clinic = $this->quayside();
        $this->signIn($this->staff($clinic, Role::Assistant));
        $this->browser->request('GET', $this->path('/findings'));
        $this->assertStatus(200);
        self::assertSelectorNotExists('form[action$="/sign"]');
    }

    public function testFindingsExplainThemselvesAndSayWhatIsMissing(): void
    {
        $this->browser->request('GET', $this->path('/findings'));

        self::assertSelectorTextContains('main', 'Thumb in the palm, held there by the fingers');
        self::assertSelectorTextContains('main', 'lets go at -45°');
        self::assertMatchesRegularExpression(
            '/Long finger flexors short or toned<\/b>: measure [^<]*wrist at -30/',
            $this->shown(),
        );
        self::assertSelectorExists('figure.chart svg[aria-label*="50 % at -60°"]');
    }

    public function testAChangeWithinTheErrorOfMeasurementIsNotCalledProgress(): void
    {
        $day = new \DateTimeImmutable('-30 days');
        $visit = new Visit(
            $this->odalys->clinicId,
            $this->odalys->id,
            $day,
            $this->therapist->id,
            at: $day,
        );
        $this->entities->persist($visit);
        foreach (['wrist_extension' => -14.0, 'wrist_flexion' => -50.0] as $code => $value) {
            $this->entities->persist(
                RecordedReading::from(
                    new \HandGarden\Core\Measure\Reading(
                        $code,
                        Side::Right,
                        'wrist_flexion' === $code ? Mode::Passive : Mode::Active,
                        null,
                        value: $value,
                        on: $day,
                    ),
                    $visit,
                    $this->therapist->id,
                    $day,
                ),
            );
        }
        $this->entities->flush();
        $this->browser->request('GET', $this->path('/findings'));
        $found = fn (string $label): string => 1 === preg_match(
            '#<tr> <th[^>]*>'.$label.'.*?</tr>#s',
            $this->shown(),
            $row,
        ) ? $row[0] : '';

        self::assertStringContainsString('no real change yet', $found('Wrist up'));
        self::assertStringContainsString('real gain', $found('Wrist down'));
    }

    public function testEachDailyTaskHasItsOwnTwoAnswers(): void
    {
        $this->post(
            $this->path('/measure?set=own-words'),
            [
                'm' => [
                    'task_goes:-:-:clean-palm' => '3',
                    'task_content:-:-:clean-palm' => '2',
                    'task_goes:-:-:buttons' => '0',
                ],
            ],
        );
        $readings = $this->service(ReadingRepository::class)->for($this->odalys);
        self::assertSame(3.0, $readings->newest('task_goes', null, null, 'clean-palm')?->value);
        self::assertSame(0.0, $readings->newest('task_goes', null, null, 'buttons')?->value);
        $this->browser->request('GET', $this->path('/measure?set=own-words'));
        self::assertSelectorTextContains(
            'main',
            'How well does it go?: Wash and dry the palm without help',
        );
        $this->post(
            $this->path('/measure?set=own-words'),
            ['m' => ['task_goes:-:-:flying' => '3', 'task_goes:-:-:buttons' => '11']],
        );
        $this->assertStatus(422);
    }

    public function testTheIntakeIsKeptAndShown(): void
    {
        $crawler = $this->browser->request('GET', $this->path('/edit'));
        $form = $crawler->selectButton('Save')->form();
        $form->setValues(
            [
                'intake[doseTimes]' => '18:00 7.30',
                'intake[splints]' => 'Night splint',
                'intake[seatedMinutes]' => '45',
                'intake[commands]' => '2',
            ],
        );
        $this->browser->submit($form);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSelectorTextContains('main', 'at 07:30, 18:00');
        self::assertTrue($this->fresh($this->odalys)->takesTimedMedicine());

        $form->setValues(
            [
                'intake[doseTimes]' => 'at noon',
                'intake[onsetOn]' => '2199-01-01',
                'version' => (string) $this->fresh($this->odalys)->version,
            ],
        );
        $this->browser->submit($form);
        $this->assertStatus(422);
        self::assertSelectorTextContains('#p-doseTimes', 'are not times');
        self::assertSelectorTextContains('#p-onsetOn', 'future');
        self::assertSelectorExists('input[name="intake[splints]"][value="Night splint"]');
    }

    private function path(string $rest): string
    {
        return '/clients/'.$this->odalys->id.$rest;
    }
}
