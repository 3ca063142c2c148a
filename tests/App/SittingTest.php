<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Sitting\ItemEvent;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Tests\Core\Cases;
use Symfony\Component\Uid\Uuid;

final class SittingTest extends OdalysTestCase
{
    private const RELEASE = 'wrist-forward-release';

    protected function setUp(): void
    {
        parent::setUp();
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
    }

    public function testAnAssistantRunsAndLogsASitting(): void
    {
        $this->signIn(
            $this->staff(
                $this->quayside(),
                Role::Assistant,
            ),
        );
        $sitting = $this->begin();
        $this->browser->request(
            'GET',
            '/sittings/'.$sitting->id.'/lines',
        );
        self::assertSelectorTextContains('section[data-nth="0"]', 'Done as planned');
        self::assertSelectorTextContains(
            'section[aria-label="When to stop"]',
            'stop that exercise',
        );

        self::assertSame(
            200,
            $this->postJson(
                '/sittings/'.$sitting->id.'/log',
                [
                    'id' => Uuid::v4()->toRfc4122(),
                    'item' => 0,
                    'outcome' => 'done',
                ],
            ),
        );
    }

    public function testTheSameLineTwiceIsStoredOnceAndAnotherBodyIsRefused(): void
    {
        $sitting = $this->begin();
        $line = [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => 2,
            'outcome' => 'done',
            'pain_after' => 1,
        ];
        $path = '/sittings/'.$sitting->id.'/log';

        self::assertSame(
            200,
            $this->postJson($path, $line),
        );
        self::assertSame(
            200,
            $this->postJson($path, array_reverse($line)),
            'the order of the fields is no other body',
        );
        self::assertCount(
            1,
            $this->entities->getRepository(SittingEvent::class)->findBy(
                ['sittingId' => $sitting->id, 'kind' => EventKind::Line],
            ),
        );
        self::assertSame(
            409,
            $this->postJson($path, ['pain_after' => 5] + $line),
        );
        self::assertStringContainsString(
            'stored already with another content',
            $this->page(),
        );
        self::assertSame(
            1,
            $this->entities->getRepository(SittingEvent::class)->find($line['id'])->body['pain_after']
                ?? null,
        );
    }

    public function testAPageFromBeforeItemsHadIdsNamesThemByTheirPlaceAndSendsAgainUnderItsOldName(): void
    {
        $sitting = $this->begin();
        $this->entities->getConnection()->executeStatement(
            "UPDATE sitting_item SET rung_id = 'no-longer-there', planned = jsonb_set(planned, '{rung}',"
                .'\'"no-longer-there"\') WHERE sitting_id = ? AND place = 0',
            [$sitting->id],
        );
        $line = [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => 0,
            'outcome' => 'done',
        ];
        $path = '/sittings/'.$sitting->id.'/log';

        self::assertSame(
            200,
            $this->postJson($path, $line),
        );
        self::assertSame(
            200,
            $this->postJson($path, $line),
        );
        $event = $this->entities->getRepository(SittingEvent::class)->find($line['id']);
        self::assertSame(
            $this->itemsOf($sitting)[1]->id,
            $event?->itemId,
            'an unknown exercise shifts no place',
        );
        self::assertSame(
            hash('sha256', $sitting->id.'|0|{"outcome":"done"}'),
            $event->bodyHash,
            'the hash that a page from before knows',
        );
        $this->browser->request(
            'GET',
            '/sittings/'.$sitting->id.'/lines',
        );
        self::assertSelectorTextContains(
            'section[data-nth="0"]',
            'The catalogue no longer has this exercise',
        );
    }

    public function testTwoLinesOfOneItemAreOneAndWhatHurtStays(): void
    {
        $sitting = $this->begin();
        $item = $this->itemsOf($sitting)[2]->id;
        $path = '/sittings/'.$sitting->id.'/log';
        $lines = [
            ['outcome' => 'part', 'pain_after' => 5, 'device_at' => '2026-11-20T09:00:00Z'],
            ['outcome' => 'done', 'pain_after' => 1, 'device_at' => '2026-11-20T09:02:00Z'],
        ];
        foreach (array_reverse($lines) as $line) {
            self::assertSame(
                200,
                $this->postJson(
                    $path,
                    ['id' => Uuid::v4()->toRfc4122(), 'item' => $item] + $line,
                ),
            );
        }

        $told = $this->itemsOf($sitting)[2]->told;
        self::assertSame(
            'done',
            $told['outcome'] ?? null,
            'the later one by the device, though it came first',
        );
        self::assertSame(5, $told['pain_after'] ?? null);
    }

    public function testWhatIsKeptOfAnItemIsWhatItsEventsGiveAnew(): void
    {
        $sitting = $this->begin();
        $item = $this->itemsOf($sitting)[2];
        for ($times = 0; $times < 8; ++$times) { // within a second or two, as a restless hand does
            $this->postJson('/sittings/'.$sitting->id.'/log', [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => $item->id,
                'outcome' => 0 === $times % 2 ? 'done' : 'part',
                'fatigue' => $times,
            ]);
        }
        $kept = $this->itemsOf($sitting)[2]->told;
        $anew = Fold::item(array_map(
            static fn (SittingEvent $e): ItemEvent => $e->folded(),
            $this->entities->getRepository(SittingEvent::class)->findBy(['itemId' => $item->id]),
        ));

        self::assertNotNull($anew);
        self::assertEquals(
            LogFormat::write($anew->told),
            $kept,
        );
    }

    public function testADeviceWhoseClockIsBehindIsPutRight(): void
    {
        $sitting = $this->begin();
        $now = new \DateTimeImmutable();
        $line = [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => $this->itemsOf($sitting)[0]->id,
            'outcome' => 'done',
            'device' => Uuid::v4()->toRfc4122(),
            'seq' => 7,
            'device_at' => $now->modify('-3 days -1 minute')->format(\DATE_RFC3339),
            'sent_at' => $now->modify('-3 days')->format(\DATE_RFC3339),
        ];
        self::assertSame(
            200,
            $this->postJson('/sittings/'.$sitting->id.'/log', $line),
        );

        $event = $this->entities->getRepository(SittingEvent::class)->find($line['id']);
        self::assertNotNull($event);
        self::assertEqualsWithDelta(3 * 86_400, $event->offsetSeconds, 60);
        self::assertEqualsWithDelta(
            $now->getTimestamp() - 60,
            $event->at->getTimestamp(),
            60,
        );
        self::assertSame(7, $event->seq);
    }

    public function testAnotherClinicCannotReachALineByItsId(): void
    {
        $id = Uuid::v4()->toRfc4122();
        self::assertSame(
            200,
            $this->postJson(
                '/sittings/'.$this->begin()->id.'/log',
                ['id' => $id, 'item' => 0, 'outcome' => 'done'],
            ),
        );
        $clinic = $this->clinic('Another clinic');
        $stranger = $this->staff($clinic);
        $theirs = $this->client($clinic, $stranger);
        $this->signIn($stranger);
        $this->post(
            '/clients/'.$theirs->id.'/routine/suggest',
            [],
        );
        $sitting = $this->sitting($theirs, $stranger);

        self::assertSame(
            409,
            $this->postJson(
                '/sittings/'.$sitting->id.'/log',
                ['id' => $id, 'item' => 0, 'outcome' => 'done'],
            ),
        );
    }

    public function testABrokenLineIsRefusedWithItsPath(): void
    {
        $path = '/sittings/'.$this->begin()->id.'/log';
        $id = Uuid::v4()->toRfc4122();

        self::assertSame(
            422,
            $this->postJson(
                $path,
                [
                    'id' => $id,
                    'item' => 0,
                    'outcome' => 'done',
                    'pain_after' => 11,
                ],
            ),
        );
        self::assertStringContainsString('pain_after: 11 is outside 0..10', $this->page());
        self::assertSame(
            422,
            $this->postJson(
                $path,
                ['id' => 'no-uuid', 'item' => 0, 'outcome' => 'done'],
            ),
        );
        self::assertSame(
            422,
            $this->postJson(
                $path,
                ['id' => $id, 'item' => 99, 'outcome' => 'done'],
            ),
        );
        self::assertSame(
            422,
            $this->postJson(
                $path,
                [
                    'id' => $id,
                    'item' => 0,
                    'outcome' => 'done',
                    'secret' => 1,
                ],
            ),
        );
        self::assertSame(
            [],
            $this->entities->getRepository(SittingEvent::class)->findBy(['kind' => EventKind::Line]),
        );
    }

    public function testTheFormWorksWithoutScripts(): void
    {
        $sitting = $this->begin();
        $crawler = $this->browser->request(
            'GET',
            '/sittings/'.$sitting->id.'/lines',
        );
        $form = $crawler
            ->filter('section[data-nth="1"] form')
            ->selectButton('Part of it')
            ->form(['repetitions' => '3', 'compensations[0]' => 'shoulder-hike']);
        $this->browser->submit($form);

        $item = $this->itemsOf($sitting)[1];
        self::assertEquals(
            [
                'outcome' => 'part',
                'repetitions' => 3,
                'pain_before' => 1,
                'help' => 'none',
                'compensations' => ['shoulder-hike'],
            ],
            $item->told,
        );
    }

    public function testAnotherWristAngleIsToldAndOneThatTheExerciseDoesNotHaveIsRefused(): void
    {
        $sitting = $this->begin();
        $place = (int) array_search(
            self::RELEASE,
            array_column($this->itemsOf($sitting), 'rungId'),
            true,
        );
        $form = $this->browser->request(
            'GET',
            '/sittings/'.$sitting->id.'/lines',
        )
            ->filter('section[data-nth="'.$place.'"] form')
            ->selectButton('Done as planned')
            ->form([
                'repetitions' => '4',
                'felt' => 'right',
                'levels[angle]' => '-30',
            ]);
        $this->browser->submit($form);

        $told = $this->itemsOf($sitting)[$place]->told ?? [];
        self::assertSame(
            ['angle' => -30],
            $told['levels'] ?? null,
        );
        self::assertSame(
            ['right', 4],
            [$told['felt'] ?? null, $told['repetitions'] ?? null],
        );

        $line = [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => $place,
            'outcome' => 'done',
            'levels' => ['beat' => 60],
        ];
        self::assertSame(
            422,
            $this->postJson('/sittings/'.$sitting->id.'/log', $line),
        );
        self::assertStringContainsString('levels: Beat: 60 is no level of this exercise', $this->page());
    }

    public function testAHandThatLetsGoIsOfferedTheNextWristAngleAndKeepsIt(): void
    {
        $this->metOnThreeDays(self::RELEASE, ['repetitions' => 10]);
        $proposal = $this->browser
            ->request('GET', '/clients/'.$this->odalys->id.'/decisions')
            ->filter('li[data-rung="'.self::RELEASE.'"]');
        self::assertStringContainsString('wrist half hanging (−30°)', $proposal->text());
        $this->browser->submit(
            $proposal->selectButton('Accept')->form(),
        );

        foreach ($this->items() as $item) {
            if (self::RELEASE === $item->rung->id) {
                self::assertSame(
                    -30,
                    $item->dose->levels->at(Challenge::Angle),
                );

                return;
            }
        }
        self::fail(self::RELEASE.' is in the routine');
    }

    public function testADayFollowsTheClientsZoneAndAClockAheadIsMarked(): void
    {
        $this->fresh($this->odalys)->zone = 'Pacific/Auckland';
        $this->entities->flush();
        $sitting = $this->begin();
        $path = '/sittings/'.$sitting->id.'/log';
        $late = (new \DateTimeImmutable(
            '-2 days',
            new \DateTimeZone('UTC'),
        ))->setTime(23, 59);
        $waiting = Uuid::v4()->toRfc4122();
        self::assertSame(
            200,
            $this->postJson(
                $path,
                [
                    'id' => $waiting,
                    'item' => 0,
                    'outcome' => 'done',
                    'device_at' => $late->format(\DATE_RFC3339),
                ],
            ),
        );
        $ahead = Uuid::v4()->toRfc4122();
        self::assertSame(
            200,
            $this->postJson(
                $path,
                [
                    'id' => $ahead,
                    'item' => 1,
                    'outcome' => 'done',
                    'device_at' => (new \DateTimeImmutable('+1 day'))->format(\DATE_RFC3339),
                ],
            ),
        );

        $entries = $this->entities->getRepository(SittingEvent::class);
        self::assertSame(
            $late->modify('+1 day')->format('Y-m-d'),
            $entries->find($waiting)?->day->format('Y-m-d'),
            '23:59 UTC is tomorrow in Auckland',
        );
        self::assertEquals(
            $entries->find($ahead)?->receivedAt,
            $entries->find($ahead)?->at,
        );
        self::assertGreaterThan(
            $entries->find($ahead)?->at,
            $entries->find($ahead)?->deviceAt,
        );
        self::assertSame(
            (new \DateTimeImmutable(
                'now',
                new \DateTimeZone('Pacific/Auckland'),
            ))->format('Y-m-d'),
            $entries->find($ahead)?->day->format('Y-m-d'),
        );
    }

    public function testPainOfSevenBeforeTheStartLeavesCalmAndPassiveItems(): void
    {
        $sitting = $this->begin('7');
        $crawler = $this->browser->request(
            'GET',
            '/sittings/'.$sitting->id.'/lines',
        );

        self::assertStringContainsString(
            'calm and passive items only today',
            $this->page(),
        );
        foreach ($this->itemsOf($sitting) as $i => $item) {
            $rests = $crawler->filter('section[data-nth="'.$i.'"] .halt')->count() > 0;
            self::assertSame(
                !Cases::catalogue()->rung($item->rungId)->load->class->isRestful(),
                $rests,
                $item->rungId,
            );
        }
    }

    public function testNewTinglingSuspendsTheItemAtOnceUntilATherapistReopensIt(): void
    {
        $place = (int) array_search(
            'helped-lift-hold',
            array_map(
                static fn (Item $i): string => $i->rung->id,
                $this->items(),
            ),
            true,
        );
        $this->postJson(
            '/sittings/'.$this->begin()->id.'/log',
            [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => $place,
                'outcome' => 'part',
                'new_tingling' => true,
            ],
        );
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
        self::assertNotContains(
            'helped-lift-hold',
            array_map(
                static fn (Item $i): string => $i->rung->id,
                $this->items(),
            ),
        );

        $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        );
        self::assertStringContainsString('new tingling or numbness', $this->page());
        $suspension = $this->service(PlanRepository::class)->suspensions($this->odalys)[0];
        $path = '/clients/'.$this->odalys->id.'/suspensions/'.$suspension->id;
        $this->post($path, ['note' => '']);
        self::assertNull($this->fresh($suspension)->reopenedAt);
        $this->post($path, ['note' => 'Strap was too tight']);
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
        self::assertContains(
            'helped-lift-hold',
            array_map(
                static fn (Item $i): string => $i->rung->id,
                $this->items(),
            ),
        );
    }

    public function testAnythingSystemicStopsTheWholeRoutine(): void
    {
        $this->postJson(
            '/sittings/'.$this->begin()->id.'/log',
            [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => 0,
                'outcome' => 'part',
                'systemic' => true,
            ],
        );
        $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/sittings/new',
        );

        self::assertStringContainsString('The routine is suspended', $this->page());
        self::assertSelectorNotExists('form button.huge');
    }

    public function testAnAcceptedProposalIsInTheNextRoutineAndDoesNotComeBack(): void
    {
        $this->metOnThreeDays('helped-lift-hold');
        $crawler = $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        );
        $proposal = $crawler->filter('li[data-rung="helped-lift-hold"]');
        self::assertStringContainsString(
            '8 ×, hold 4 s → 8 ×, hold 5 s',
            preg_replace(['/\s+/', '/\d sets of /'], [' ', ''], $proposal->text()) ?? '',
        );
        $this->browser->submit(
            $proposal->selectButton('Accept')->form(),
        );
        $this->browser->followRedirect();

        self::assertSelectorNotExists('li[data-rung="helped-lift-hold"]');
        self::assertSame(
            5,
            $this->doseOf('helped-lift-hold'),
            'the current routine is changed',
        );
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
        self::assertSame(
            5,
            $this->doseOf('helped-lift-hold'),
            'and so is the next one',
        );
    }

    public function testAStepUpHappensByItselfOnlyWhereATherapistHasAllowedItAndLeavesItsTrace(): void
    {
        $this->metOnThreeDays('helped-lift-hold');
        $this->browser->request('GET', '/');
        self::assertSame(
            4,
            $this->doseOf('helped-lift-hold'),
            'not allowed: it waits',
        );
        $this->post(
            '/clients/'.$this->odalys->id.'/decisions/by-themselves',
            ['allowed' => '1'],
        );
        $this->browser->request('GET', '/');
        self::assertSame(5, $this->doseOf('helped-lift-hold'));

        $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        );
        self::assertStringContainsString('by itself', $this->shown());
        self::assertSelectorNotExists('li[data-rung="helped-lift-hold"][data-proposal="advance"]');
        $this->post(
            '/clients/'.$this->odalys->id.'/decisions/by-themselves',
            ['allowed' => '0'],
        );
        self::assertNull($this->fresh($this->odalys)->stepsAllowedById);
    }

    public function testSeveralStepsUpAreAcceptedTogetherAndWhatHasChangedIsLeft(): void
    {
        $this->metOnThreeDays('helped-lift-hold');
        $form = $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        )
            ->filter('li[data-proposal="advance"] input[name="proposal"]');
        $keys = $form->extract(['value']);
        self::assertNotSame([], $keys);
        $this->post(
            '/clients/'.$this->odalys->id.'/decisions/steps',
            ['steps' => [...$keys, 'of|an|older|page']],
        );
        $this->browser->followRedirect();

        self::assertStringContainsString('accepted.', $this->shown());
        self::assertStringContainsString('1 of them were answered already', $this->shown());
        self::assertSame(5, $this->doseOf('helped-lift-hold'));
        $this->post(
            '/clients/'.$this->odalys->id.'/decisions/steps',
            [],
        );
        $this->browser->followRedirect();
        self::assertStringContainsString('No step was ticked', $this->shown());
    }

    public function testAnAdjustedDoseIsHeldAgainstTheRangeAndADeclinedOneChangesNothing(): void
    {
        $this->metOnThreeDays('helped-lift-hold');
        $form = fn () => $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        )->filter('li[data-rung="helped-lift-hold"]')->selectButton('Accept this dose')->form();
        $this->browser->submit(
            $form(),
            ['hold' => '60'],
        );
        $this->browser->followRedirect();
        self::assertStringContainsString('is outside', $this->page());
        self::assertSame(4, $this->doseOf('helped-lift-hold'));
        $decline = $this->browser
            ->request('GET', '/clients/'.$this->odalys->id.'/decisions')
            ->filter('li[data-rung="helped-lift-hold"]')
            ->selectButton('Decline')
            ->form(['note' => 'Wait a week']);
        $this->browser->submit($decline);
        $this->browser->followRedirect();

        self::assertSelectorNotExists('li[data-rung="helped-lift-hold"]');
        self::assertStringContainsString('Wait a week', $this->page());
        self::assertSame(4, $this->doseOf('helped-lift-hold'));
    }

    public function testADecisionNeverGivesALongerHoldThanScreeningAllows(): void
    {
        $this->metOnThreeDays('helped-lift-hold');
        $proposed = $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        )->filter('li[data-rung="helped-lift-hold"]');
        self::assertSame(
            '5',
            $proposed->filter('input[name="hold"]')->attr('value'),
        );
        $this->post(
            '/clients/'.$this->odalys->id.'/screening',
            ['blood_pressure' => 'yes'],
        );
        $this->browser->submit(
            $proposed->selectButton('Accept this dose')->form(['hold' => '6']),
        );
        $this->browser->followRedirect();
        self::assertStringContainsString(
            'screening allows holds of 5 s at most',
            $this->page(),
        );
        $this->browser->submit(
            $this->browser
                ->getCrawler()
                ->filter('li[data-rung="helped-lift-hold"]')
                ->selectButton('Accept')
                ->form(),
        );

        self::assertSame(
            5,
            $this->doseOf('helped-lift-hold'),
            'not the 6 s that were typed',
        );
    }

    public function testLatePainIsAskedAtTheNextStartAndEases(): void
    {
        $first = $this->begin();
        $place = (int) array_search(
            'helped-lift-hold',
            array_map(
                static fn (Item $i): string => $i->rung->id,
                $this->items(),
            ),
            true,
        );
        $this->postJson(
            '/sittings/'.$first->id.'/log',
            [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => $place,
                'outcome' => 'done',
                'pain_before' => 1,
                'pain_after' => 1,
            ],
        );
        $this->post(
            '/clients/'.$this->odalys->id.'/sittings/new',
            ['pain_before' => '1', 'help' => 'none'],
        );
        $this->assertStatus(422);
        $this->post(
            '/clients/'.$this->odalys->id.'/sittings/new',
            [
                'pain_before' => '1',
                'help' => 'none',
                'hurt_later' => 'yes',
                'hurt_item' => $this->itemsOf($first)[$place]->id,
            ],
        );
        $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        );

        self::assertSelectorTextContains(
            'li[data-rung="helped-lift-hold"]',
            'One step down',
        );
    }

    public function testPainWithAnItemOfTheClinicRoutineAloneIsProposedOnToo(): void
    {
        $clinic = ['kind' => 'clinic'];
        $this->post(
            '/clients/'.$this->odalys->id.'/routine',
            $clinic + [
                'do' => 'add',
                'rung' => 'pressed-lift-hold',
                'hands' => 'right',
                'note' => 'with me beside her',
                'version' => '',
            ],
        );
        $this->post(
            '/clients/'.$this->odalys->id.'/sittings/new',
            $clinic + [
                'pain_before' => '1',
                'hurt_later' => 'no',
                'help' => 'none',
            ],
        );
        $sitting = $this->entities->getRepository(Sitting::class)->findOneBy(
            ['clientId' => $this->odalys->id],
            ['id' => 'DESC'],
        );
        self::assertNotNull($sitting);
        self::assertSame(
            ['pressed-lift-hold'],
            array_map(
                static fn (SittingItem $i): string => $i->rungId,
                $this->itemsOf($sitting),
            ),
        );
        self::assertNotContains(
            'pressed-lift-hold',
            array_map(
                static fn (Item $i): string => $i->rung->id,
                $this->items(),
            ),
            'not at home',
        );
        $this->postJson(
            '/sittings/'.$sitting->id.'/log',
            [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => 0,
                'outcome' => 'done',
                'pain_before' => 1,
                'pain_after' => 5,
            ],
        );
        $this->browser->request(
            'GET',
            '/clients/'.$this->odalys->id.'/decisions',
        );

        self::assertSelectorTextContains(
            'li[data-rung="pressed-lift-hold"]',
            'One step down',
        );
    }

    /** @param array<string, mixed> $told beside being done */
    private function metOnThreeDays(string $rungId, array $told = []): void
    {
        $items = $this->service(PlanRepository::class)->routine($this->odalys);
        self::assertInstanceOf(SavedRoutine::class, $items);
        $place = (int) array_search(
            $rungId,
            array_column($items->items, 'rung'),
            true,
        );
        foreach ([5, 3, 1] as $ago) {
            $at = new \DateTimeImmutable("-$ago days");
            $sitting = $this->sitting(
                $this->odalys,
                $this->therapist,
                $at,
            );
            $line = [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => $place,
                'outcome' => 'done',
                'pain_before' => 1,
                'pain_after' => 1,
                'help' => 'none',
                'device_at' => $at->format(\DATE_RFC3339),
            ];
            self::assertSame(
                200,
                $this->postJson('/sittings/'.$sitting->id.'/log', $told + $line),
            );
        }
    }

    private function begin(string $pain = '1'): Sitting
    {
        $this->post(
            '/clients/'.$this->odalys->id.'/sittings/new',
            ['pain_before' => $pain, 'hurt_later' => 'no', 'help' => 'none'],
        );
        $this->assertStatus(303);
        $sitting = $this->entities->getRepository(Sitting::class)->findOneBy(
            ['clientId' => $this->odalys->id],
            ['id' => 'DESC'],
        );
        self::assertNotNull($sitting);

        return $sitting;
    }

    private function doseOf(string $rungId): int
    {
        foreach ($this->items() as $item) {
            if ($item->rung->id === $rungId) {
                return $item->dose->holdSeconds;
            }
        }
        self::fail("$rungId is not in the routine");
    }

    /** @return list<Item> */
    private function items(): array
    {
        $this->entities->clear();

        return $this->service(Plan::class)->items($this->odalys);
    }
}
